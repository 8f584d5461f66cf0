<?php

declare(strict_types=1);

namespace App\Stores;

use App\Crew\Person;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Stores\ToolCheck;

/** Enters a check of a tool: good, and it may be used until its next one; or out of tolerance, and it is recalled. */
final readonly class CheckTool
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param Day|null $calDue until when a good check stands
     *
     * @throws Refused for a date to come, or a good check without its term
     */
    public function __invoke(Person $by, Tool $tool, Day $date, bool $good, string $note, ?Day $calDue): void
    {
        if ($date->number > $this->clock->today()->number) {
            throw Refused::because("{$date} is yet to come. Enter the day on which {$tool->code} was checked.");
        }
        if ($good && ($calDue === null || $calDue->number <= $date->number)) {
            throw Refused::because("Until when does this check stand? Enter a day after {$date}.");
        }
        DB::transaction(function () use ($by, $tool, $date, $good, $note, $calDue): void {
            ToolCheckEntry::create(['tool_id' => $tool->id, 'date' => (string) $date, 'good' => $good, 'note' => $note, 'person_id' => $by->id]);
            $tool->update($good ? ['state' => 'in', 'cal_due' => (string) $calDue] : ['state' => 'recalled']);
            $this->records->write($by, $good ? 'tool.checked' : 'tool.recalled', "tool:{$tool->id}", ['tool' => $tool->code, 'date' => (string) $date, 'note' => $note]);
            if (! $good) {
                ToolRecall::create(['tool_id' => $tool->id, 'person_id' => $by->id, 'found_on' => (string) $date, 'last_good' => self::lastGood($tool, $date), 'note' => $note, 'at' => (string) $this->clock->now()]);
            }
        });
    }

    public static function lastGood(Tool $tool, Day $foundOn): ?string
    {
        $checks = ToolCheckEntry::where('tool_id', $tool->id)->get()->map(static fn(ToolCheckEntry $c): ToolCheck => new ToolCheck(Day::parse($c->date), $c->good))->all();
        $last = ToolCheck::lastGood(array_values($checks), $foundOn);

        return $last === null ? null : (string) $last;
    }
}
