<?php

declare(strict_types=1);

namespace App\Stores\Do;

use App\Crew\Model\Person;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolCheckEntry;
use App\Stores\Model\ToolState;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\Instrument;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** Tools that are new, go away for calibration, or go out of use; what was read with one stays with it. */
final readonly class CommitTool
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param array{
     *   code: string, title: string, kind: string, unit: string, resolution: float, uncertainty: float, low: float,
     *   high: float, place: string,
     * } $as
     * @param Day $checked the day of the check it comes with
     *
     * @throws Refused for a code that is there, a unit there is not, or a range that cannot be
     */
    public function enter(Person $by, array $as, Day $checked, Day $calDue, string $paper): Tool
    {
        if (Tool::where('code', $as['code'])->exists()) {
            throw Refused::because("{$as['code']} is in the store already. Nothing was entered.");
        }
        if ($checked->number > $this->clock->today()->number || $calDue->number <= $checked->number) {
            throw Refused::because(
                'Its check lies today or before, and stands until a day after. Nothing was entered.',
            );
        }
        try {
            Instrument::of(
                Unit::parse($as['unit']),
                $as['resolution'],
                $as['uncertainty'],
                $as['low'],
                $as['high'],
                $calDue,
            );
        } catch (InputError $e) {
            throw Refused::because("Its {$e->path} {$e->getMessage()}. Nothing was entered.");
        }

        return DB::transaction(function () use ($by, $as, $checked, $calDue, $paper): Tool {
            $tool = Tool::create([...$as, 'cal_due' => (string) $calDue, 'state' => ToolState::In]);
            ToolCheckEntry::create([
                'tool_id' => $tool->id,
                'date' => (string) $checked,
                'good' => true,
                'note' => $paper,
                'person_id' => $by->id,
            ]);
            $this->records->write(
                $by,
                'tool.entered',
                "tool:{$tool->id}",
                [...$as, 'checked' => (string) $checked, 'cal_due' => (string) $calDue, 'paper' => $paper],
            );

            return $tool;
        });
    }

    /** @throws Refused while it is out on a card, or when it is away already */
    public function sendAway(Person $by, Tool $tool, string $where): void
    {
        $this->requireIn($tool);
        if ($tool->state === ToolState::AtCalibration) {
            throw Refused::because("{$tool->code} is away already.");
        }
        $this->to($by, $tool, ToolState::AtCalibration, $where);
    }

    /** @throws Refused while it is out on a card */
    public function takeOut(Person $by, Tool $tool, string $why): void
    {
        $this->requireIn($tool);
        $this->to($by, $tool, ToolState::OutOfUse, $why);
    }

    private function to(Person $by, Tool $tool, ToolState $state, string $why): void
    {
        DB::transaction(function () use ($by, $tool, $state, $why): void {
            $this->records->write(
                $by,
                $state === ToolState::AtCalibration ? 'tool.sent_away' : 'tool.out_of_use',
                "tool:{$tool->id}",
                ['tool' => $tool->code, 'was' => $tool->state, 'why' => $why],
            );
            $tool->update(['state' => $state]);
        });
    }

    private function requireIn(Tool $tool): void
    {
        $loan = $tool->load('loan.card')->loan;
        if ($loan !== null) {
            throw Refused::because(
                "{$tool->code} is out on card {$loan->card->number}. Have it counted in first; nothing was changed.",
            );
        }
        if ($tool->state === ToolState::OutOfUse) {
            throw Refused::because("{$tool->code} is out of use.");
        }
    }
}
