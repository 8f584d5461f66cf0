<?php

declare(strict_types=1);

namespace App\Floor;

use App\Crew\Person;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Tool;
use Jorvel\Core\Bench\Limit;
use Jorvel\Core\Bench\LimitKind;
use Jorvel\Core\Bench\LimitResult;
use Jorvel\Core\Bench\ReadingLimit;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Input;

/** Takes a reading as somebody typed it, with the tool that took it, judges it and keeps it. */
final readonly class TakeReading
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param array<string, mixed> $spec `{point, limit, tool_kind, decision?}`
     *
     * @throws Refused when the tool may not be used; a reading out of limits is kept, with its verdict
     */
    public function __invoke(Person $by, Step $step, array $spec, string $entry, string $toolCode, string $phase = 'reading', int $run = 1): Reading
    {
        $tool = $this->tool($spec, $toolCode);
        $result = $this->judge($spec, $entry, $tool);
        if ($result->verdict->value === 'invalid') {
            throw Refused::because("{$tool->code} reads from {$tool->low} to {$tool->high} {$tool->unit}; this reading lies outside it. Take another tool or read again.");
        }
        Reading::where(['step_id' => $step->id, 'point' => $spec['point'], 'phase' => $phase])->update(['stands' => false]);
        $reading = Reading::create([
            'step_id' => $step->id, 'card_id' => $step->card_id, 'tool_id' => $tool->id, 'person_id' => $by->id, 'point' => $spec['point'],
            'phase' => $phase, 'run' => $run, 'value' => $result->value, 'unit' => $result->unit->value, 'verdict' => $result->verdict->value,
            'margin' => $result->margin, 'reasons' => $result->reasons, 'at' => (string) $this->clock->now(), 'stands' => true,
        ]);
        $this->records->write($by, 'reading.taken', "card:{$step->card_id}", [
            'step' => $step->no, 'point' => $reading->point, 'phase' => $phase, 'entered' => $entry, 'value' => $reading->value,
            'unit' => $reading->unit, 'tool' => $tool->code, 'verdict' => $reading->verdict,
        ]);

        return $reading;
    }

    /** @param array<string, mixed> $spec */
    public function judge(array $spec, string $entry, Tool $tool): LimitResult
    {
        $limit = self::limit($spec);

        return Limit::judge(Entered::parse($entry, $limit->unit), $limit, $this->clock->today(), $tool->instrument(), ($spec['decision'] ?? 'simple') === 'guarded');
    }

    /** @param array<string, mixed> $spec */
    public function tool(array $spec, string $code): Tool
    {
        $tool = Tool::firstWhere('code', $code) ?? throw Refused::because($code === '' ? "Choose the {$spec['tool_kind']} that takes the reading." : "There is no tool {$code} in the store.");
        if ($tool->kind !== $spec['tool_kind']) {
            throw Refused::because("{$tool->code} is a {$tool->kind}; this reading needs a {$spec['tool_kind']}.");
        }
        $why = $tool->unusable($this->clock->today());
        if ($why !== null) {
            throw Refused::because("{$tool->code} {$why}. Take another {$tool->kind}; nothing was kept.");
        }

        return $tool;
    }

    /** @param array<string, mixed> $spec */
    public static function limit(array $spec): ReadingLimit
    {
        return LimitKind::limit(Input::of((object) $spec['limit'], 'limit'));
    }
}
