<?php

declare(strict_types=1);

namespace App\Visits;

use App\Shared\Words;
use App\Visits\Model\Visit;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\CourseCause;
use Jorvel\Core\Visits\CourseDay;
use Jorvel\Core\Visits\FixWindow;
use Jorvel\Core\Visits\Leaves;
use Jorvel\Core\Visits\LeavesHow;
use Jorvel\Core\Visits\NotThen;
use Jorvel\Core\Visits\VisitProgress;

/** What Visits says. Days and times come as the screen has them. */
final class VisitWords
{
    /** Whether the aircraft leaves in time. @param callable(Instant): string $when */
    public static function leaves(string $mark, VisitNow $visit, Leaves $leaves, callable $when): string
    {
        $out = $leaves->exit === null ? '' : $when($leaves->exit);
        $spare = $leaves->spare;
        $said = match ($leaves->how) {
            LeavesHow::NoPlan => "{$mark} has no plan: ".lcfirst((string) $visit->problem),
            LeavesHow::Unplanned => "{$mark} has cards that are not planned yet. Plan it.",
            LeavesHow::Worked => "Every card of {$mark} is worked; the last ended on {$out}.",
            LeavesHow::TooLate => "{$mark} would leave on {$out}, "
                .($spare === 0
                    ? 'later on the day than it must'
                    : Words::count(-$spare, 'day').' later than it must')
                .'. Take work out, add people, or agree on a later day.',
            LeavesHow::Tight => "{$mark} leaves on {$out}, "
                .($spare === 0 ? 'on its last day' : 'one day before it must').': nothing may slip.',
            LeavesHow::InTime => "{$mark} leaves on {$out}, ".Words::count($spare, 'day').' before it must.',
        };

        $cards = static fn(int $many): string => $many === 1 ? 'One card is' : "{$many} cards are";

        return $said.match (true) {
            $leaves->behind > 0 => " {$cards($leaves->behind)} behind it: search, and it is planned anew from now.",
            $leaves->idle > 0 => ' '.self::idle($leaves->idle).' Search, and it is planned anew from now.',
            default => '',
        };
    }

    /** That cards are planned for when their people are not there. */
    public static function idle(int $cards): string
    {
        return ($cards === 1 ? 'One card is' : "{$cards} cards are")
            .' planned for when the people that '.($cards === 1 ? 'it needs' : 'they need').' are not there.';
    }

    /** What a move does to the exit. @param callable(Instant): string $when */
    public static function effect(?Instant $was, Instant $exit, callable $when): string
    {
        $hours = $was === null ? 0.0 : round(($exit->epoch() - $was->epoch()) / 3600, 1);

        return match (true) {
            $hours > 0 => 'The exit moves '.Words::number($hours).' h later, to '.$when($exit).'.',
            $hours < 0 => 'The exit moves '.Words::number(-$hours).' h sooner, to '.$when($exit).'.',
            default => 'The exit stays on '.$when($exit).'.',
        };
    }

    /**
     * How a visit stands, in a sentence.
     *
     * @param int $unmanned cards with nobody to work them
     * @param int $days from today to its last day
     */
    public static function stands(
        VisitProgress $state,
        int $closed,
        int $total,
        int $unmanned,
        string $lastDay,
        int $days,
    ): string {
        $progress = $total === 1 ? 'Its one card is open' : "{$closed} of {$total} cards are closed";
        $nobody = $unmanned === 1
            ? 'one card has nobody to work it yet'
            : "{$unmanned} cards have nobody to work them yet";

        return match (true) {
            $state === VisitProgress::Released => "Released; {$closed} cards are in the record.",
            $closed === $total => 'Every card is closed. The aircraft can be looked at for release.',
            $unmanned > 0 => $state === VisitProgress::InWork && $total > 1
                ? "{$progress}; {$nobody}."
                : ucfirst($nobody).'.',
            default => "{$progress}; it must leave on {$lastDay}, ".Words::fromNow($days).'.',
        };
    }

    /**
     * Why the exit moved on a day: what the plan was made anew for, and what had come since the one before.
     *
     * @param string $planned what it was planned anew for
     */
    public static function why(CourseDay $day, string $planned): string
    {
        $causes = $day->since === null ? [] : array_map(static fn(CourseCause $c): string => match ($c) {
            CourseCause::Found => Words::count($day->since->raised, 'finding').' raised'
                .($day->since->fixes <= 0 ? '' : ', '.Words::number($day->since->fixes).' h of fixes'),
            CourseCause::Longer => 'what was closed took '.Words::number($day->since->longer())
                .' h longer than planned',
            CourseCause::Unworked => Words::number($day->since->worked).' h were worked, '
                .Words::number($day->since->there).' h of people were there',
        }, $day->causes());

        return implode(': ', array_filter([$planned, implode('; ', $causes)], static fn(string $s): bool => $s !== ''));
    }

    /** How it goes. @param float|null $pace times the planned hours; null where too few cards are closed to tell */
    public static function goes(int $closed, int $total, ?float $pace, int $open, ?string $exit): string
    {
        return Words::count($closed, 'card')." of {$total} worked"
            .($pace === null ? '' : ', at '.Words::number($pace, 2).' times the planned hours')
            .($open === 0 ? '' : '; '.Words::count($open, 'finding').' open')
            .($exit === null ? '.' : "; leaves {$exit}.");
    }

    /** Why nothing can be planned on such days. */
    public static function notThen(NotThen $why, Day $from, Day $to): string
    {
        return match ($why) {
            NotThen::Backwards => "It would end on {$to}, before it begins on {$from}.",
            NotThen::Past => "It would end on {$to}, which is past.",
            NotThen::TooFar => "It would end on {$to}, further off than anybody plans.",
        };
    }

    /** @param list<string> $bays that there are */
    public static function noBay(string $asked, array $bays): string
    {
        return "There is no bay \"{$asked}\". Choose one of ".implode(', ', $bays).', or "'.Visit::LINE
            .'" for the apron.';
    }

    /** That something is not worked where only washes are. */
    public static function dry(string $bay, string $what): string
    {
        return "At {$bay} nothing is worked but washes; {$what} is none.";
    }

    /** Who stands in a bay. */
    public static function inBay(string $mark, string $bay, VisitSpan $span): string
    {
        return "{$mark} stands in {$bay} from {$span->from} to {$span->to}.";
    }

    /** How the forecast of an exit moved; null where it stayed. */
    public static function moved(float $hours): ?string
    {
        return $hours === 0.0 ? null : Words::number(abs($hours)).' h '.($hours > 0 ? 'later' : 'sooner');
    }

    /** How long the aircraft is on jacks. @param callable(Instant): string $when */
    public static function onJacks(Instant $from, Instant $until, callable $when): string
    {
        $hours = ($until->epoch() - $from->epoch()) / 3600;

        return 'On jacks '.($hours < 36 ? Words::number($hours).' h' : Words::number($hours / 24).' days')
            .", from {$when($from)} to {$when($until)}.";
    }

    /** Whether the fix window holds. */
    public static function window(FixWindow $window, float $look, float $chance): string
    {
        if ($look <= 0) {
            return 'Nothing is looked for in this visit.';
        }
        $more = $window->findings->expectedMore;
        $holds = 'The fix window holds with a chance of '.self::percent($chance);
        $found = Words::count($window->findings->found, 'finding').' so far'
            .($more < 0.5
                ? ', no more to expect.'
                : ', about '.Words::count((int) round($more), 'more', 'more').' to come.');

        return match (FixWindow::state($chance)) {
            'clear' => "{$holds}. {$found}",
            'watch' => "{$holds}: act while there is time. {$found}",
            default => "{$holds} only: it will not do as it stands. {$found}",
        };
    }

    public static function percent(float $chance): string
    {
        return match (true) {
            $chance > 0.99 => 'over 99 %',
            $chance < 0.01 => 'under 1 %',
            default => round(100 * $chance).' %',
        };
    }

    /** What comes in next. @param callable(Day): string $date */
    public static function room(int $all, int $inWork, ?string $next, ?Day $start, string $bay, callable $date): string
    {
        return match (true) {
            $all === 0 => 'No visit is planned. Open an aircraft in Fleet, choose its due items and make one.',
            $next === null || $start === null => ($inWork === 1 ? 'One aircraft is' : "{$inWork} aircraft are")
                .' in work; nothing else is planned.',
            default => "{$next}, on {$date($start)}, {$bay}.",
        };
    }
}
