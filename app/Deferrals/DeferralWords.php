<?php

declare(strict_types=1);

namespace App\Deferrals;

use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Finding;
use App\Shared\Words;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Deferrals\Closure;
use Jorvel\Core\Deferrals\ListedItem;
use Jorvel\Core\Deferrals\Stage;
use Jorvel\Core\Shared\Day;

/** What the room Deferrals says; pure. */
final class DeferralWords
{
    /** What flights may meet, in words. */
    private const CONDITIONS = [
        'icing' => 'icing', 'night' => 'night', 'cloud' => 'cloud', 'overwater' => 'open water',
        'contaminated' => 'a wet or contaminated runway', 'passengers' => 'passengers', 'gravel' => 'gravel',
        'hoist' => 'hoist work', 'goggles' => 'night goggles', 'deck' => 'a deck', 'drop' => 'a drop',
    ];

    /**
     * The room's own sentence: what runs out first, and how many findings wait for a decision.
     *
     * @param string|null $first registration, title and what is left of the first; null where nothing is carried
     */
    public static function room(?string $first, int $waiting, int $late = 0): string
    {
        $carried = match (true) {
            $first !== null => "{$first}.",
            $waiting > 0 => 'Nothing is carried yet.',
            default => 'No defect is carried. One comes here when a finding is deferred under a listed item.',
        };
        $late = $late === 0 ? '' : ' '.Words::count($late, 'deferral', 'deferrals')
            .' will not be closed in time as planned.';

        return $carried.$late.match ($waiting) {
            0 => '',
            1 => ' One finding waits for a decision.',
            default => " {$waiting} findings wait for a decision.",
        };
    }

    /**
     * Until when a deferral may be carried.
     *
     * @param callable(Day): string $when
     */
    public static function left(ClockResult $clock, Day $today, callable $when): string
    {
        if ($clock->status === 'expired') {
            return 'Has run out: the aircraft must not fly with it';
        }
        if ($clock->forecastLast === null) {
            return 'Does not run out within twenty years';
        }
        $day = $when($clock->forecastLast);

        return $clock->driver === 'days'
            ? "Runs out at the end of {$day}, ".Words::fromNow($today->daysUntil($clock->forecastLast))
            : "Expected to run out at the end of {$day}, ".Words::amount(
                $clock->usageLeft[$clock->driver] ?? 0,
                (string) $clock->driver,
            ).' left';
    }

    /**
     * What else is left than what it runs out by, which is said already.
     *
     * @param array<string, float> $left by counter
     */
    public static function others(array $left): string
    {
        return implode(', ', array_map(
            static fn(string $counter, float $value): string => Words::amount($value, $counter).' left',
            array_keys($left),
            $left,
        ));
    }

    /** @return array<array-key, string> finding by deferral of an aircraft, with `deferrals.finding` */
    public static function numbers(Aircraft $aircraft): array
    {
        return $aircraft->deferrals->mapWithKeys(
            static fn(Deferral $d): array => [$d->id => $d->finding->number],
        )->all();
    }

    /**
     * Why a listed item does not cover a finding.
     *
     * @param list<string> $codes as the core gives them
     * @param array<array-key, string> $numbers finding by deferral
     */
    public static function unfit(array $codes, ListedItem $item, array $numbers): string
    {
        return implode('; ', array_map(static function (string $code) use ($item, $numbers): string {
            [$what, $id] = explode(':', $code, 2) + [1 => ''];

            return match ($what) {
                'withdrawn' => 'it is withdrawn from the list',
                'other_system' => "it is of {$item->chapter}, another system of its chapter",
                'other_part' => "the finding does not speak of {$item->system}",
                'position_taken' => 'the one at this place is carried already, as '
                    .($numbers[$id] ?? 'another finding'),
                'none_to_spare' => match (true) {
                    $item->installed === 1 => 'it is carried already, and there is but one',
                    $item->most < $item->installed - $item->required => "no more than {$item->most} may be carried at "
                        .'once',
                    default => "none to spare: {$item->required} of {$item->installed} must work",
                },
                default => $code,
            };
        }, $codes));
    }

    /**
     * Why an aircraft may not fly, by one deferral.
     *
     * @param array<array-key, string> $names what each deferral is called, by id
     */
    public static function reason(string $id, string $code, array $names): string
    {
        [$what, $of] = explode(':', $code, 2) + [1 => ''];
        $name = $names[$id] ?? $id;

        return $name.': '.match ($what) {
            'too_few' => 'too few of its units work',
            'depends_on' => 'needs '.($names[$of] ?? $of).' to work',
            'forbidden' => 'not into '.self::condition($of),
            'expired' => 'runs out before arrival',
            'placard_missing' => 'its placard is not fitted',
            'procedure_open' => 'not made safe yet',
            'restrictions_conflict' => 'its restriction contradicts another one',
            'not_stated' => 'the flying programme does not say whether it meets '.self::condition($of),
            default => $code,
        };
    }

    public static function condition(string $name): string
    {
        return self::CONDITIONS[$name] ?? str_replace('_', ' ', $name);
    }

    /** @param list<string> $names */
    public static function forbids(array $names): string
    {
        return $names === [] ? '' : 'Not into '.implode(' or ', array_map(self::condition(...), $names)).'.';
    }

    /**
     * @param array<string, float> $restricts
     *
     * @return list<string> "at most 25,000 ft altitude"
     */
    public static function restrictions(array $restricts): array
    {
        return array_map(static function (string $name, float $value): string {
            $parts = explode('_', substr($name, 4));
            $last = end($parts);
            $unit = in_array($last, ['ft', 'kt', 'kg', 'm', 'hours'], true) ? ' '.strtr($last, ['hours' => 'h']) : '';
            $of = implode(' ', $unit === '' || $last === 'hours' ? $parts : array_slice($parts, 0, -1));
            $of = strtr($of, ['flight hours' => 'a flight']);

            return ucfirst($of).(str_starts_with($name, 'max_') ? ': at most ' : ': at least ')
                .number_format($value, floor($value) === $value ? 0 : 1).$unit;
        }, array_map(strval(...), array_keys($restricts)), $restricts);
    }

    /** What stands in the technical log. */
    public static function log(Deferral $deferral, Finding $finding): string
    {
        $terms = $deferral->listedItem->terms();

        return implode(' ', array_filter([
            "{$finding->number}: {$finding->place}, {$finding->extent}.",
            "Carried under {$terms->code}, {$deferral->name()}, category {$terms->category->value}.",
            $terms->conditions,
            self::forbids($terms->forbids),
            $terms->restricts === [] ? '' : implode('; ', self::restrictions($terms->restricts)).'.',
            $terms->crew === '' ? '' : "Crew: {$terms->crew}",
            "Placard: {$deferral->placard}.",
        ]));
    }

    /**
     * Whether it is closed in time, as things are planned.
     *
     * @param callable(Day): string $when
     * @param array<array-key, string> $names what it waits for, by id
     * @param array<string, string> $slots what each stay is called, by id
     * @param int $extend days by which it may be extended
     * @param bool $planned whether its cards are in a visit
     */
    public static function closure(
        Closure $closure,
        callable $when,
        array $names,
        array $slots,
        int $extend,
        bool $planned,
    ): string {
        $held = Words::list(array_map(static fn(string $id): string => $names[$id] ?? $id, $closure->heldBy));
        $over = -($closure->spare ?? 0);
        $would = match (true) {
            $over > 0 && $over <= $extend => 'An extension by '.Words::count($over, 'day').' would do.',
            $closure->readyBy !== null => "Everything must be there by {$when($closure->readyBy)}.",
            default => 'No stay that is planned or free ends in time.',
        };
        $end = $closure->slot === null ? '' : $when($closure->slot->end);
        $in = $closure->slot === null ? '' : ($slots[$closure->slot->id] ?? $closure->slot->id);
        $spare = match (true) {
            $closure->spare === null => '',
            $over === 0 => ', on its last day',
            $over < 0 => ', '.Words::count(-$over, 'day').' to spare',
            default => ', '.Words::count($over, 'day').' too late',
        };
        $waits = $held === '' ? '' : "; waits for {$held}";

        return match ($closure->verdict) {
            'unknown' => "Nobody knows when {$held} is there. {$would}",
            'no_slot' => "No stay that is planned or free has the hours{$waits}. {$would}",
            'late' => "Will not make it: {$end} {$in}{$spare}{$waits}. {$would}",
            default => ($planned ? 'To' : 'Can')." be closed {$end} {$in}{$spare}{$waits}.",
        };
    }

    public static function stage(Stage $stage): string
    {
        return match ($stage) {
            Stage::Ready => 'Everything there',
            Stage::Fix => 'Fixed',
            Stage::Reverse => 'Made live again',
            Stage::Test => 'Tested',
            Stage::Inspect => 'Inspected independently',
            Stage::Placard => 'Placard off',
            Stage::Log => 'Log closed',
        };
    }
}
