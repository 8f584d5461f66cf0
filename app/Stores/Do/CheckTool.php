<?php

declare(strict_types=1);

namespace App\Stores\Do;

use App\Crew\Model\Person;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolCheckEntry;
use App\Stores\Model\ToolRecall;
use App\Stores\Model\ToolState;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/** Enters a check of a tool: good, and it may be used until its next one; or out of tolerance, and it is recalled. */
final readonly class CheckTool
{
    public function __construct(private Clock $clock, private Records $records, private Recalls $recalls) {}

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
        if ($tool->state === ToolState::OutOfUse) {
            throw Refused::because("{$tool->code} is out of use. Nothing was entered.");
        }
        DB::transaction(function () use ($by, $tool, $date, $good, $note, $calDue): void {
            $recall = ToolRecall::where('tool_id', $tool->id)->orderByDesc('id')->first();
            ToolCheckEntry::create([
                'tool_id' => $tool->id,
                'date' => (string) $date,
                'good' => $good,
                'note' => $note,
                'person_id' => $by->id,
            ]);
            $this->records->write(
                $by,
                $good ? 'tool.checked' : 'tool.recalled',
                "tool:{$tool->id}",
                ['tool' => $tool->code, 'date' => (string) $date, 'note' => $note],
            );
            if (! $good) {
                $tool->update(['state' => ToolState::Recalled]);
                $this->recalls->open($by, $tool, $date, $note);
            } elseif ($recall !== null && $date->number < Day::parse($recall->found_on)->number) {
                // Entered late, of before it was found wrong: it says less is in doubt, not that the tool is good now.
                $this->recalls->narrow($by, $recall->setRelation('tool', $tool));
            } else {
                $tool->update(['state' => ToolState::In, 'cal_due' => (string) $calDue]);
            }
        });
    }
}
