<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Deferrals\Show\Closures;
use App\Deferrals\Show\Stay;
use App\Floor\Model\Card;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Do\CreateVisit;
use App\Visits\Do\MakeCard;
use App\Visits\Do\MakeFixCard;
use App\Visits\Do\NewVisit;
use App\Visits\Do\PlanVisit;
use App\Visits\Do\VisitFrame;
use App\Visits\Model\BaySlot;
use App\Visits\Model\Visit;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Deferrals\CarriedDevice;
use Jorvel\Core\Deferrals\Reversal;
use Jorvel\Core\Deferrals\SafeStep;
use Jorvel\Core\Deferrals\Stage;

/**
 * Puts the cards that close a deferral into a visit: the fix, the exact reverse of what made it safe, made from what
 * was really fitted, and the tests that its listed item names.
 */
final readonly class PlanClosure
{
    public function __construct(
        private Records $records,
        private CommitUnmoved $commit,
        private MayDefer $may,
        private MakeCard $make,
        private VisitFrame $frame,
        private CreateVisit $visits,
        private PlanVisit $plan,
        private Closures $closures,
    ) {}

    /**
     * @param string $slot a visit (`visit-<id>`), some of the free days of a bay (`slot-<id>@<first day>`), or a day on
     *   the line (`line-<day>`)
     *
     * @throws Refused for one that is not made safe, is planned already, or a visit that is over
     */
    public function __invoke(Person $by, int $id, string $slot): Deferral
    {
        $visit = null;
        $deferral = ($this->commit)(function () use ($by, $id, $slot, &$visit): Closure {
            $deferral = Deferral::with([
                'finding.card.aircraft.type', 'finding.aircraft.type', 'aircraft.type', 'aircraft.visits', 'listedItem',
                'cards.card.steps', 'cards.card.template', 'needs',
            ])->findOrFail($id);
            $this->may->require($by, $deferral->aircraft);
            self::requirePlannable($deferral);
            $tests = $this->tests($deferral);
            $open = $this->visit($by, $deferral, $slot);

            return function () use ($by, $deferral, $open, $tests, &$visit): Deferral {
                $visit = $open();
                $visit->setRelation('aircraft', $deferral->aircraft);
                FloorCount::up($deferral->aircraft_id);
                $cards = $this->cards($deferral, $visit, $tests);
                $this->frame->complete($visit);
                $this->records->write($by, 'deferral.planned', "finding:{$deferral->finding_id}", [
                    'number' => $deferral->finding->number, 'visit' => $visit->title, 'cards' => $cards,
                ]);

                return $deferral;
            };
        });
        if ($visit instanceof Visit && $visit->state === Visit::PLANNED) {
            ($this->plan)($visit, $by, "planned with the closure of {$deferral->finding->number}");
        }

        return $deferral;
    }

    /** @throws Refused */
    private static function requirePlannable(Deferral $deferral): void
    {
        $number = $deferral->finding->number;
        $in = $deferral->closing()?->card->number;
        $why = match (true) {
            $deferral->state !== Deferral::OPEN => "{$number} is closed already.",
            ! $deferral->procedure_done => "{$number} is not made safe yet: take the deferral back, or finish that "
                .'first.',
            $in !== null => "The cards that close {$number} are made already, the first is {$in}.",
            default => null,
        };
        if ($why !== null) {
            throw Refused::because("{$why} Nothing was planned.");
        }
    }

    /** @return Closure(): Visit @throws Refused */
    private function visit(Person $by, Deferral $deferral, string $slot): Closure
    {
        $this->closures->read(collect([$deferral]));
        $stay = $this->closures->stays($deferral)[$slot] ?? throw Refused::because(
            'That stay is over, or its days are no longer free. Choose another one; nothing was planned.',
        );
        [$kind, $id] = explode('-', $slot, 2) + [1 => ''];
        if ($stay->kind === Stay::VISIT) {
            $visit = Visit::findOrFail((int) $id);

            return static fn(): Visit => $visit;
        }
        $made = $this->visits->ask($by, new NewVisit(
            $deferral->aircraft->mark,
            "Close {$deferral->finding->number}: {$deferral->listedItem->title}",
            $stay->bay,
            $stay->slot->start,
            $stay->slot->end,
            [],
        ), bare: true);

        return static function () use ($made, $kind, $id, $stay): Visit {
            $visit = $made();
            if ($kind === 'slot') {
                BaySlot::findOrFail((int) $id)->leaveRest($stay->slot->start, $stay->slot->end);
            }

            return $visit;
        };
    }

    /** @return Collection<int, CardTemplate> @throws Refused where Library lost one */
    private function tests(Deferral $deferral): Collection
    {
        $codes = $deferral->listedItem->terms()->closes;
        $tests = CardTemplate::with('manual')->where('type_id', $deferral->aircraft->type_id)->whereIn('code', $codes)
            ->get();
        $lost = array_diff($codes, $tests->pluck('code')->all());

        return $lost === []
            ? $tests : throw Refused::because('Library has no card '.implode(', ', $lost).', which tests '
            ."{$deferral->listedItem->code}. Nothing was planned.");
    }

    /**
     * @param Collection<int, CardTemplate> $tests
     *
     * @return list<string> their numbers
     */
    private function cards(Deferral $deferral, Visit $visit, Collection $tests): array
    {
        $finding = $deferral->finding;
        $n = $visit->cardsMade();
        $hours = $finding->fix_hours ?? (float) config('jorvel.fix_hours');
        $fix = ($this->make)(
            $visit,
            MakeFixCard::template($deferral->aircraft->type_id),
            ++$n,
            MakeFixCard::own($finding, $hours, null),
        );
        $made = [[Stage::Fix, $fix]];
        $back = $this->reverse($deferral, $visit, $n + 1);
        if ($back !== null) {
            $made[] = [Stage::Reverse, $back];
            $n++;
        }
        foreach ($tests as $test) {
            $made[] = [Stage::Test, ($this->make)($visit, $test, ++$n, [
                'title' => "{$test->title}, closes {$finding->number}",
            ], $finding->chapter)];
        }
        foreach ($made as [$stage, $card]) {
            DeferralCard::create(['deferral_id' => $deferral->id, 'card_id' => $card->id, 'part' => $stage->value]);
        }

        return array_map(static fn(array $m): string => $m[1]->number, $made);
    }

    /** The reverse of what made it safe; null where nothing is on and nothing has to be set back. */
    private function reverse(Deferral $deferral, Visit $visit, int $n): ?Card
    {
        $finding = $deferral->finding;
        $safe = $deferral->cards->firstWhere('part', DeferralCard::SAFE)?->card;
        $devices = SafingDevice::where('carried_by', $finding->id)->whereNull('removed_at')->orderByDesc('id')->get();
        $terms = $deferral->listedItem->terms();
        if ($safe === null && $devices->isEmpty() && $terms->channels === []) {
            return null;
        }
        $numbers = $safe?->steps->pluck('no', 'id')->all() ?? [];
        $template = $safe->template ?? MakeFixCard::template($deferral->aircraft->type_id);
        $card = ($this->make)($visit, $template, $n, [
            'title' => "Made live again: {$deferral->name()}, {$finding->number}", 'makes' => Card::REVERSE,
            'stage' => 'fix',
            'zone' => $safe->zone ?? $finding->card->zone,
            'systems' => $finding->aircraft->type->systemsOf($finding->chapter),
        ], $finding->chapter);
        $card->dropSteps();
        $steps = Reversal::steps(
            array_values($safe?->steps->map(self::worked(...))->all() ?? []),
            array_values($devices->map(static fn(SafingDevice $d): CarriedDevice => new CarriedDevice(
                (string) $d->id,
                $d->kind,
                $d->place,
                $numbers[$d->fitted_step_id] ?? null,
                $d->storage,
            ))->all()),
            $terms->channels,
            $card->independent_inspection ? $card->covers : [],
        );
        foreach ($steps as $i => $step) {
            Step::create([...$step, 'card_id' => $card->id, 'no' => $i + 1, 'state' => Step::OPEN]);
        }

        return $card;
    }

    private static function worked(Step $step): SafeStep
    {
        return new SafeStep(
            $step->no,
            $step->kind,
            $step->title,
            $step->text,
            $step->spec['undo'] ?? null,
            $step->state === Step::DONE,
            $step->spec['level'] ?? 'warning',
            $step->spec['counts'] ?? '',
            isset($step->result['counted']) ? (float) $step->result['counted'] : null,
        );
    }
}
