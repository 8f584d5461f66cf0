<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Shared\Words;
use Jorvel\Core\Fleet\FlyingDay;
use Jorvel\Core\Fleet\FlyingDoubt;
use Jorvel\Core\Shared\Day;

/** What is asked of a day's flying, in sentences. */
final class FlyingWords
{
    /** @param callable(Day): string $date */
    public static function doubt(FlyingDoubt $doubt, FlyingDay $day, string $mark, callable $date): string
    {
        return match ($doubt) {
            FlyingDoubt::Gap => "{$mark} is counted to {$date($day->known)}; "
                .Words::count($day->passedOver(), 'day').' between would be passed over. Did it not fly then?',
            FlyingDoubt::Again => "{$mark} has ".self::amounts($day->before)." on {$date($day->date)} already; this "
                .'adds to it: '.self::amounts(self::whole($day)).' in all.',
            FlyingDoubt::Unfinished => "{$date($day->date)} is not over yet; is this all that it flies?",
            FlyingDoubt::Far => self::amounts(self::whole($day))." on {$date($day->date)}, where ".self::amounts(
                $day->planned === [] ? $day->mean : $day->planned,
            ).' was planned.',
            FlyingDoubt::InVisit => "{$mark} stands in a visit from {$date($day->visit()->from ?? $day->date)}.",
            FlyingDoubt::Devices => Words::count(
                count($day->fitted()),
                'safing device is',
                'safing devices are',
            ).' on it since '.$date($day->fitted()[0]).'.',
        };
    }

    /** @return array<string, float> */
    private static function whole(FlyingDay $day): array
    {
        $whole = [];
        foreach ($day->flown + $day->before as $counter => $_) {
            $whole[$counter] = $day->whole($counter);
        }

        return $whole;
    }

    /** @param array<string, float> $amounts */
    private static function amounts(array $amounts): string
    {
        return implode(
            ', ',
            array_map(static fn(string $c, float $v): string => Words::amount($v, $c), array_keys($amounts), $amounts),
        );
    }
}
