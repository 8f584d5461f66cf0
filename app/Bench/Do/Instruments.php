<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\InstrumentReading;
use App\Bench\Model\InstrumentToken;
use App\Crew\Model\Person;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Stores\Model\Tool;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\Readable;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** Instruments that send what they show: each by a token of its own, bound to one tool of the store. */
final readonly class Instruments
{
    /** What an instrument showed longer ago than this is not what it shows, in seconds. */
    public const FRESH = 20;

    /** Readings of a tool that are kept. */
    private const KEPT = 200;

    public function __construct(private Clock $clock, private Records $records) {}

    /** A new token for a tool; the one before no longer counts. It is shown once. */
    public function token(Person $by, Tool $tool): string
    {
        return DB::transaction(function () use ($by, $tool): string {
            $token = bin2hex(random_bytes(24));
            $now = (string) $this->clock->now();
            InstrumentToken::where('tool_id', $tool->id)->whereNull('revoked_at')->update(['revoked_at' => $now]);
            InstrumentToken::create([
                'tool_id' => $tool->id, 'hash' => hash('sha256', $token), 'person_id' => $by->id, 'at' => $now,
            ]);
            $this->records->write($by, 'instrument.token', "tool:{$tool->id}", ['tool' => $tool->code]);

            return $token;
        });
    }

    /** The tool that a token is of; null for one that is none, or no longer. */
    public function toolOf(string $token): ?Tool
    {
        return $token === '' ? null : InstrumentToken::with('tool')->where('hash', hash('sha256', $token))
            ->whereNull('revoked_at')->first()?->tool;
    }

    /**
     * What an instrument shows, as it sends it.
     *
     * @param list<array{value?: float|int|null, unit?: string, said?: string|null}> $readings
     *
     * @throws Refused for another unit than the tool's, or what it cannot show; none is kept then
     */
    public function take(Tool $tool, array $readings): int
    {
        $now = (string) $this->clock->now();
        $rows = [];
        foreach ($readings as $i => $r) {
            $place = 'Reading '.($i + 1);
            if (isset($r['said']) && ! isset($r['value'])) {
                $rows[] = ['tool_id' => $tool->id, 'value' => null, 'unit' => '', 'said' => $r['said'], 'at' => $now];

                continue;
            }
            if (($r['unit'] ?? '') !== $tool->unit) {
                throw Refused::because("{$place} is in \"".($r['unit'] ?? '')."\"; {$tool->code} reads in "
                    ."{$tool->unit}. "
                    .'None was taken.');
            }
            try {
                $is = Readable::of(
                    Quantity::of((float) ($r['value'] ?? NAN), Unit::parse($tool->unit)),
                    $tool->instrument(),
                );
            } catch (InputError $e) {
                throw Refused::because("{$place} {$e->getMessage()}. None was taken.");
            }
            if ($is === Readable::OutOfRange) {
                throw Refused::because("{$place} lies outside what {$tool->code} shows, "
                    .Words::number($tool->low, 3).' to '
                    .Words::number($tool->high, 3)." {$tool->unit}. None was taken.");
            }
            $rows[] = [
                'tool_id' => $tool->id, 'value' => (float) ($r['value'] ?? 0.0), 'unit' => $tool->unit, 'said' => null,
                'at' => $now,
            ];
        }
        DB::transaction(static function () use ($tool, $rows): void {
            InstrumentReading::insert($rows);
            $oldest = InstrumentReading::where('tool_id', $tool->id)->orderByDesc('id')->skip(self::KEPT)->take(1)
                ->value('id');
            if ($oldest !== null) {
                InstrumentReading::where('tool_id', $tool->id)->where('id', '<=', $oldest)->delete();
            }
        });

        return count($rows);
    }

    /** What a tool shows now; null where it sends nothing, or sent it too long ago. */
    public function shown(Tool $tool): ?InstrumentReading
    {
        $last = InstrumentReading::where('tool_id', $tool->id)->orderByDesc('id')->first();

        return $last !== null && $this->clock->now()->epoch() - $last->at->epoch() <= self::FRESH ? $last : null;
    }
}
