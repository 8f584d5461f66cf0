<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Do\ToolDesk;
use App\Stores\Model\Tool;
use Jorvel\Core\Bench\Limit;
use Jorvel\Core\Bench\LimitKind;
use Jorvel\Core\Bench\LimitResult;
use Jorvel\Core\Bench\ReadingLimit;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Input;

/** Takes a reading as somebody typed it, with the tool that took it, judges it and keeps it. */
final readonly class TakeReading
{
    public function __construct(private Clock $clock, private Records $records, private ToolDesk $desk) {}

    /**
     * @param array<string, mixed> $spec `{point, limit, tool_kind?, decision?}`; without a kind of tool it is read by eye or by the clock
     *
     * @throws Refused when the tool may not be used; a reading out of limits is kept, with its verdict
     */
    public function __invoke(Person $by, Step $step, array $spec, string $entry, string $toolCode, string $phase = 'reading', int $run = 1): Reading
    {
        $tool = $this->tool($spec, $toolCode);
        $result = $this->judge($spec, $entry, $tool);
        if ($tool !== null && $result->verdict->value === 'invalid') {
            throw Refused::because("{$tool->code} reads from {$tool->low} to {$tool->high} {$tool->unit}; this reading lies outside it. Take another tool or read again.");
        }
        if ($tool !== null) {
            $this->desk->out($by, $step->card, $tool);
        }

        return $this->keep($by, $step, $spec['point'], $entry, $result->value, $result->unit->value, $result->verdict->value, $result->margin, $tool, $phase, $run, $result->reasons);
    }

    /**
     * Keeps a judged reading; an earlier one of the same point no longer stands.
     *
     * @param list<string> $reasons
     */
    public function keep(Person $by, Step $step, string $point, string $entry, float $value, string $unit, string $verdict, ?float $margin, ?Tool $tool, string $phase = 'reading', int $run = 1, array $reasons = []): Reading
    {
        Reading::where(['step_id' => $step->id, 'point' => $point, 'phase' => $phase])->update(['stands' => false]);
        $reading = Reading::create([
            'step_id' => $step->id, 'card_id' => $step->card_id, 'tool_id' => $tool?->id, 'person_id' => $by->id, 'point' => $point,
            'phase' => $phase, 'run' => $run, 'value' => $value, 'unit' => $unit, 'verdict' => $verdict,
            'margin' => $margin, 'reasons' => $reasons, 'at' => (string) $this->clock->now(), 'stands' => true,
        ]);
        $this->records->write($by, 'reading.taken', "card:{$step->card_id}", [
            'step' => $step->no, 'point' => $point, 'phase' => $phase, 'entered' => $entry, 'value' => $value,
            'unit' => $unit, 'tool' => $tool?->code, 'verdict' => $verdict,
        ]);

        return $reading;
    }

    /** @param array<string, mixed> $spec */
    public function judge(array $spec, string $entry, ?Tool $tool): LimitResult
    {
        $limit = self::limit($spec);

        return Limit::judge(Entered::parse($entry, $limit->unit), $limit, $this->clock->today(), $tool?->instrument(), ($spec['decision'] ?? 'simple') === 'guarded');
    }

    /** @param array<string, mixed> $spec */
    public function tool(array $spec, string $code): ?Tool
    {
        return isset($spec['tool_kind']) ? $this->desk->usable($spec['tool_kind'], $code) : null;
    }

    /** @param array<string, mixed> $spec */
    public static function limit(array $spec): ReadingLimit
    {
        return LimitKind::limit(Input::of((object) $spec['limit'], 'limit'));
    }
}
