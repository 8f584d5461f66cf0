<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\Exceedance;
use App\Floor\Model\Finding;
use App\Floor\Model\Severity;
use App\Library\FollowWords;
use App\Library\Model\CardTemplate;
use App\Library\Model\FollowRule;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Do\MakeCard;
use App\Visits\Do\StandNow;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Library\ExceededRow;
use Jorvel\Core\Library\ExceededTable;

/**
 * A limit was exceeded: it is recorded at once, its table names what is inspected, the cards are opened, and the finding
 * that it is keeps the aircraft until they are signed.
 */
final readonly class Exceedances
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private RaiseFinding $raise,
        private WhatFollows $follows,
        private LineChecks $line,
        private MakeCard $make,
        private StandNow $stand,
    ) {}

    /** @throws Refused as {@see record()}, for each with its line; none is recorded then */
    public function recordAll(Person $by, RecorderFile $file): int
    {
        return DB::transaction(function () use ($by, $file): int {
            foreach ($file->rows as $row) {
                $this->record($by, $row['aircraft'], $row['new']);
            }

            return count($file->rows);
        });
    }

    /**
     * @throws Refused for a value within the limit, a time to come, one that is recorded already, or an aircraft on the
     *   line whose type has neither a check after a report nor a card to begin a visit with
     */
    public function record(Person $by, Aircraft $aircraft, NewExceedance $new): Exceedance
    {
        return DB::transaction(function () use ($by, $aircraft, $new): Exceedance {
            [$rule, $table, $row] = $this->ask($aircraft, $new);
            FloorCount::up($aircraft->id);
            $number = sprintf('E%04d', (int) Exceedance::max('id') + 1);
            $said = "{$number}, {$new->position}: {$table->quantity} "
                .FollowWords::exceeded($table, $new->peak, $new->seconds).'. '.ucfirst($row->title).'.';
            $finding = $row->severity === null
                ? null
                : $this->finding($by, $aircraft, $rule, $table, $row, $new, $said);
            $of = Exceedance::create([
                'number' => $number, 'aircraft_id' => $aircraft->id, 'rule_id' => $rule->id,
                'position' => $new->position, 'peak' => $new->peak, 'seconds' => $new->seconds,
                'source' => $new->source, 'step_id' => $new->step?->id, 'person_id' => $by->id,
                'happened_at' => (string) $new->happened, 'at' => (string) $this->clock->now(),
                'row' => $row->title, 'note' => $new->note, 'finding_id' => $finding?->id,
            ]);
            $this->records->write($by, 'limit.exceeded', "exceedance:{$of->id}", [
                'number' => $number, 'aircraft' => $aircraft->mark, 'rule' => $rule->code,
                'version' => $rule->version, 'position' => $new->position, 'peak' => $new->peak,
                'unit' => $table->unit->value, 'seconds' => $new->seconds, 'source' => $new->source,
                'happened' => (string) $new->happened, 'row' => $row->title, 'finding' => $finding?->number,
            ]);

            return $of;
        });
    }

    /**
     * The rule, its table and the row that holds; nothing is written.
     *
     * @return array{FollowRule, ExceededTable, ExceededRow}
     *
     * @throws Refused as {@see record()}
     */
    public function ask(Aircraft $aircraft, NewExceedance $new): array
    {
        $rule = self::ruleOf($aircraft->type_id, $new->rule);
        $table = $rule->rule()->exceeded ?? throw Refused::because("{$new->rule} is no limit with a table. Nothing was "
            .'recorded.');
        if (! in_array($new->position, $table->positions, true)) {
            throw Refused::because("{$table->quantity} has no position \"{$new->position}\": use one of "
                .implode(', ', $table->positions).'. Nothing was recorded.');
        }
        if ($this->clock->now()->isBefore($new->happened)) {
            throw Refused::because('The time it happened is still to come. Nothing was recorded.');
        }
        $row = $table->row($new->peak, $new->seconds) ?? throw Refused::because(
            'That is within the limit: '.FollowWords::limit($table).'. Nothing was recorded.',
        );
        $before = Exceedance::where([
            'aircraft_id' => $aircraft->id, 'position' => $new->position,
            'happened_at' => (string) $new->happened, 'mistake' => null,
        ])->whereIn('rule_id', FollowRule::where(['type_id' => $aircraft->type_id, 'code' => $new->rule])->select('id'))
            ->first();
        if ($before !== null) {
            throw Refused::because("It is recorded already, as {$before->number}. Nothing was recorded.");
        }

        return [$rule, $table, $row];
    }

    /** @throws Refused for a code that no rule in force has */
    public static function ruleOf(int $typeId, string $code): FollowRule
    {
        return FollowRule::inForce($typeId)->where('code', $code)->first() ?? throw Refused::because(
            "No rule \"{$code}\" is in force for this type. Nothing was recorded.",
        );
    }

    /**
     * It was none: read off wrongly, or another aircraft's. What it opened is settled as any finding is.
     *
     * @throws Refused once it is taken back
     */
    public function mistake(Person $by, int $id, string $why): Exceedance
    {
        return DB::transaction(function () use ($by, $id, $why): Exceedance {
            $of = Exceedance::with('craft', 'finding')->findOrFail($id);
            if ($of->mistake !== null) {
                throw Refused::because("{$of->number} is marked as a mistake already. Nothing was changed.");
            }
            if ($of->finding !== null) {
                throw Refused::because("Finding {$of->finding->number} was raised for it, and its inspection is "
                    .'opened: what the table names is looked at and signed, also where the figure was misread. Say so '
                        .'there; '
                    .'nothing was changed.');
            }
            $of->update(['mistake' => $why]);
            $this->records->write($by, 'limit.mistake', "exceedance:{$of->id}", [
                'number' => $of->number, 'why' => $why,
            ]);

            return $of;
        });
    }

    private function finding(
        Person $by,
        Aircraft $aircraft,
        FollowRule $rule,
        ExceededTable $table,
        ExceededRow $row,
        NewExceedance $new,
        string $said,
    ): Finding {
        $finding = new NewFinding(
            $new->position,
            $said,
            Severity::from((string) $row->severity),
            $table->chapter,
            $new->step?->no,
        );
        $at = $new->step->card ?? $this->cardOf($aircraft);
        if ($at === null && ($line = $this->line->after($by, $aircraft, $finding)) !== null) {
            $raised = Finding::where('card_id', $line->id)->orderByDesc('id')->firstOrFail();
            $at = $line;
        } else {
            $at ??= $this->visit($aircraft, $rule->rule()->title);
            $raised = $this->raise->raise($by, $at, $finding);
        }
        $at->loadMissing('aircraft.type', 'visit');
        $this->follows->open($by, $raised, $at, $rule, $row->then, settles: true);

        return $raised;
    }

    /**
     * Where the programme has no check on the line after a report: a visit of its own, that begins with a look round.
     *
     * @throws Refused for a type without such a card
     */
    private function visit(Aircraft $aircraft, string $title): Card
    {
        $look = CardTemplate::where(['type_id' => $aircraft->type_id, 'makes' => 'induct'])->first()
            ?? throw Refused::because("{$aircraft->mark} stands in no visit, and its type has no card to begin one "
                .'with: '
                .'give its programme a check on the line after a report, or Library a card that inducts. Nothing was '
                .'recorded.');
        $visit = $this->stand->open($aircraft, $title);
        $card = ($this->make)($visit, $look, 1, ['makes' => 'induct']);

        return $card->load('steps')->setRelation('visit', $visit)->setRelation('aircraft', $aircraft);
    }

    /** A card of the visit in which the aircraft stands, to raise it at: the one that is being worked, or the first. */
    private function cardOf(Aircraft $aircraft): ?Card
    {
        $visit = Visit::where(['aircraft_id' => $aircraft->id, 'state' => Visit::IN_WORK])->first();

        return $visit === null ? null : Card::with('aircraft.type', 'visit', 'steps')->where('visit_id', $visit->id)
            ->orderByRaw('begun_at is null')->orderBy('id')->first();
    }
}
