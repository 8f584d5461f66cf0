<?php

declare(strict_types=1);

namespace App\Visits;

use App\Fleet\Model\Aircraft;
use App\Shared\Words;
use App\Visits\Show\Season\SeasonLine;
use App\Visits\Show\Season\SeasonPlace;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\Season\Laid\LaidTrouble;
use Jorvel\Core\Visits\Season\Laid\LaidTroubleKind;
use Jorvel\Core\Visits\Season\Laid\LaidVisit;
use Jorvel\Core\Visits\Season\SeasonBay;

/** What a season says. Days come as the screen has them. */
final class SeasonWords
{
    public const NOBODY = 'No aircraft yet. Import a programme and yesterday\'s flying to begin.';

    /**
     * What of a visit cannot be.
     *
     * @param SeasonPlace $place in which it is laid
     * @param SeasonLine|null $line the item of which it is said
     * @param string $other the visit in the way, by its aircraft and title
     * @param float $free hours of its days that are left, below 0 where they are too few
     * @param callable(Day): string $date
     */
    public static function trouble(
        LaidTrouble $is,
        Aircraft $aircraft,
        SeasonPlace $place,
        ?SeasonLine $line,
        string $other,
        float $free,
        callable $date,
    ): string {
        [$mark, $bay] = [$aircraft->mark, $place->name];
        $item = $line === null ? '' : "{$line->code} {$line->title}";
        $day = $is->day === null ? '' : $date($is->day);

        return match ($is->kind) {
            LaidTroubleKind::Late => "{$item} would be overdue: it must be done by {$day}.",
            LaidTroubleKind::Early => "{$item} may not be done before {$day}.",
            LaidTroubleKind::Unfit => $place->base === $aircraft->base
                ? "Nobody at {$place->base} may work on {$aircraft->type->code}."
                : "{$bay} is at another base than {$mark}.",
            LaidTroubleKind::Outside => ($line === null ? 'Its work' : $item).' wants a roof.',
            LaidTroubleKind::Dry => VisitWords::dry($bay, $line === null ? 'its work' : $item),
            LaidTroubleKind::Closed => "No work is done in {$bay} on {$day}, its first day.",
            LaidTroubleKind::Short => 'Its days have '.Words::number(-$free).' h less than its work.',
            LaidTroubleKind::Twice => "{$mark} is in another visit on {$day}: {$other}.",
            LaidTroubleKind::Full => "{$bay} has no place left on {$day}: {$other}.",
        };
    }

    /** How many a place takes. */
    public static function places(SeasonBay $bay): string
    {
        return match (true) {
            $bay->wash => Words::count($bay->atOnce, 'wash', 'washes').' a day',
            $bay->atOnce === 1 => 'one place',
            default => "{$bay->atOnce} places",
        };
    }

    /** That a base has not the people for a card at once. */
    public static function lacks(SeasonLine $line, SeasonPlace $place, string $skill, int $there): string
    {
        return "{$line->code} {$line->title} wants {$line->needs[$skill]} with the {$skill} skill at once; "
            .($there === 0 ? 'nobody' : "at most {$there}")." is at {$place->base}.";
    }

    /** How early something is done. */
    public static function lost(int $days, float $interval): string
    {
        return match (true) {
            $days < 0 => Words::count(-$days, 'day').' into its tolerance',
            $days === 0 => 'on its last day',
            default => Words::count($days, 'day').' early, '.round(100 * $days / $interval).' % of its life',
        };
    }

    /**
     * A season in a sentence.
     *
     * @param int $broken visits that cannot be as they are laid
     * @param int $open items without a visit
     * @param int $standing aircraft that stand in the end
     * @param int $changed visits that are new or other than they are kept
     * @param int $late visits whose cards take longer than their days
     */
    public static function sentence(
        int $days,
        int $broken,
        int $open,
        int $standing,
        int $visits,
        int $changed,
        int $late,
    ): string {
        $laid = $changed === 0
            ? Words::count($visits, 'visit').' '.($visits === 1 ? 'is' : 'are')." kept for {$days} days"
            : Words::count($changed, 'visit').' of '.$visits.' '.($changed === 1 ? 'is' : 'are').' new or moved, not '
                .'kept yet';
        $left = $open === 0
            ? 'everything that falls due has a visit.'
            : Words::count($open, 'item').' that '.($open === 1 ? 'falls' : 'fall').' due '
                .($open === 1 ? 'has' : 'have').' none: '.Words::count($standing, 'aircraft', 'aircraft')
                .' would stand in the end.';
        $left .= $late === 0 ? '' : ' '.Words::count($late, 'visit').' '.($late === 1 ? 'leaves' : 'leave')
            .' later by the '.($late === 1 ? 'plan of its' : 'plans of their').' cards.';

        return $broken === 0
            ? "{$laid}; {$left}"
            : ($broken === 1 ? 'One visit does' : "{$broken} visits do")." not hold as laid; {$left}";
    }

    /**
     * What moved, or lasts longer where it is.
     *
     * @param callable(Day): string $date
     */
    public static function moved(
        string $what,
        LaidVisit $was,
        string $from,
        LaidVisit $is,
        string $to,
        callable $date,
    ): string {
        return $from === $to && $was->start->number === $is->start->number
            ? "{$what}: until {$date($is->end)} instead of {$date($was->end)}."
            : "{$what}: from {$date($was->start)}".($from === $to ? '' : ", {$from},")." to {$date($is->start)}"
                .($from === $to ? '' : ", {$to}").'.';
    }

    /**
     * That the cards of a visit that is laid otherwise than it is kept take longer than its days; null where not.
     *
     * @param callable(Day): string $date
     */
    public static function overruns(LaidVisit $is, callable $date): ?string
    {
        $until = $is->overruns();

        return $until === null ? null : 'Its cards, as they are planned, take until '.$date($until).'.';
    }

    /**
     * What a visit is called by what is in it.
     *
     * @param list<SeasonLine> $lines
     */
    public static function title(array $lines): string
    {
        usort($lines, static fn(SeasonLine $a, SeasonLine $b): int => $b->item->is->hours <=> $a->item->is->hours);
        $more = count($lines) - 1;

        return $lines === []
            ? 'Work'
            : mb_strimwidth($lines[0]->title, 0, 90, '…').($more === 0 ? '' : " and {$more} more");
    }
}
