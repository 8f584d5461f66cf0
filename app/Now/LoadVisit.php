<?php

declare(strict_types=1);

namespace App\Now;

use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Now\CardInVisit;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\FoundNow;
use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Release\CardState;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\WorkHours;

/** The one maker of the picture of a visit. */
final readonly class LoadVisit
{
    /** The relations of a visit from which its picture is made. */
    public const WITH = ['aircraft.type', 'cards.steps:id,card_id,no,state', 'plan'];

    public function __construct(private Clock $clock, private HangarHours $hangar, private LoadExits $exits) {}

    /**
     * @param Visit $visit with {@see WITH}; its cards may carry times that are not saved
     * @param Collection<int, Finding>|null $findings of its cards, for who asks about them
     */
    public function of(Visit $visit, ?Collection $findings = null): VisitNow
    {
        return new VisitNow(
            (string) $visit->id,
            $visit->state,
            $visit->start,
            $visit->end,
            $this->exits->mustLeave($visit->end),
            array_values($visit->cards->map(static fn(Card $c): CardInVisit => self::card($c, $visit))->all()),
            array_values(($findings ?? collect())->map(self::found(...))->all()),
            $this->hours($visit),
            $visit->plan?->problem(),
        );
    }

    /** The hours that its slots stand for: from the visit's first day on. */
    public function hours(Visit $visit): WorkHours
    {
        return $this->hangar->of(
            $visit,
            Instant::firstAfter($visit->start->plusDays(-1), $this->clock->zone()),
        );
    }

    private static function found(Finding $finding): FoundNow
    {
        return new FoundNow(
            (string) $finding->id,
            $finding->state,
            $finding->fix_hours,
            $finding->raised_at,
            $finding->settled_at,
        );
    }

    /** A card as of its visit; load `steps` first. */
    public static function card(Card $card, Visit $visit): CardInVisit
    {
        return new CardInVisit(
            new CardRef(
                (string) $card->id,
                $card->number,
                $card->title,
                $card->state,
                (string) $visit->id,
                $visit->title,
            ),
            $card->stage,
            $card->makes,
            $card->needs ?? [$card->skill => 1],
            $card->configuration ?? [],
            $card->hours,
            $card->hoursLeft(),
            $card->spent,
            $card->begun_at,
            $card->closed_at,
            $card->planned_start,
            $card->planned_end,
            $card->latest_start,
            $card->on_chain,
            $card->finding_id === null ? null : (string) $card->finding_id,
        );
    }

    /**
     * A card as release asks about it; load its steps with runs, hands, assignments, rechecks, template and item.
     *
     * @param string|null $doubt a recalled tool that something of it rests on, with no re-check opened
     */
    public static function certified(Card $card, ?string $doubt): CardState
    {
        $recheck = $card->steps->flatMap(static function (Step $s): array {
            $run = $s->runs->last();

            return $run === null || $run->as_left !== null ? [] : $run->solution['recheck'];
        })->all();
        // Readings that rest on a recalled tool, until they are taken again.
        if ($doubt !== null) {
            $recheck[] = "what {$doubt} read";
        }
        foreach ($card->rechecks as $again) {
            if ($again->byCard->state !== Card::CLOSED) {
                $recheck[] = "card {$again->byCard->number}";
            }
        }

        return new CardState(
            (string) $card->id,
            $card->state === Card::CLOSED,
            $card->steps->where('state', Step::OPEN)->count(),
            $card->independent_inspection,
            array_map(strval(...), $card->performers()),
            $card->inspected_by === null ? null : (string) $card->inspected_by,
            array_values($recheck),
            // What was closed was closed by the revision that was in force then.
            $card->state === Card::CLOSED || $card->revisionCurrent(),
        );
    }
}
