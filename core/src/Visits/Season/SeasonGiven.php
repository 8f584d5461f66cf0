<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** What a season is planned from. */
final readonly class SeasonGiven
{
    /** The longest span, in days. */
    public const LONGEST = 400;

    /**
     * @param list<SeasonItem> $items
     * @param array<string, float> $access hours by panel
     * @param list<SeasonBay> $bays
     * @param list<SeasonFixed> $fixed
     * @param list<SeasonDown> $down
     * @param array<array-key, array<int, float>> $toll hours, by aircraft and number of the day
     * @param list<SeasonPeople> $people
     */
    private function __construct(
        public Day $from,
        public int $days,
        public array $items,
        public array $access,
        public array $bays,
        public array $fixed,
        public array $down,
        public float $dayWeight,
        public float $visitWeight,
        public array $toll,
        public array $people,
    ) {}

    /**
     * @param int $days of the span, 1 to 400
     * @param list<SeasonItem> $items whose panels all have hours
     * @param array<string, float> $access hours to open and close a panel, at least 0
     * @param list<SeasonBay> $bays
     * @param list<SeasonFixed> $fixed visits that stand already, in any order
     * @param list<SeasonDown> $down
     * @param float $dayWeight hours that a day out of service costs, at least 0
     * @param float $visitWeight hours that a visit costs, at least 0
     * @param array<array-key, array<int, float>> $toll hours, at least 0, that a day of an aircraft in a visit costs
     *   besides, for what it was to fly; by aircraft and the day's number
     * @param list<SeasonPeople> $people that bays share
     *
     * @throws InputError at what is out of its range; at `fixed.<i>` where the visits that stand cannot stand together
     *
     * @pure
     */
    public static function of(
        Day $from,
        int $days,
        array $items,
        array $access,
        array $bays,
        array $fixed = [],
        array $down = [],
        float $dayWeight = 4.0,
        float $visitWeight = 4.0,
        array $toll = [],
        array $people = [],
    ): self {
        if ($days < 1 || $days > self::LONGEST) {
            throw InputError::at('days', 'must be from 1 to '.self::LONGEST);
        }
        foreach (['day' => $dayWeight, 'visit' => $visitWeight] as $name => $weight) {
            if (! ($weight >= 0)) {
                throw InputError::negative("weights.{$name}");
            }
        }
        foreach ($toll as $mark => $byDay) {
            foreach ($byDay as $day => $hours) {
                if (! ($hours >= 0)) {
                    throw InputError::at("toll.{$mark}.".Day::fromNumber($day), 'must be at least 0');
                }
            }
        }
        foreach ($people as $i => $of) {
            foreach ($of->bays as $j => $bay) {
                if (! in_array($bay, array_column($bays, 'id'), true)) {
                    throw InputError::notAmong("people.{$i}.bays.{$j}", 'bays', $bay);
                }
            }
        }
        self::together($bays, $fixed);

        return new self($from, $days, $items, $access, $bays, $fixed, $down, $dayWeight, $visitWeight, $toll, $people);
    }

    /**
     * The same with other items and other visits that stand.
     *
     * @param list<SeasonItem> $items
     * @param list<SeasonFixed> $fixed
     *
     * @throws InputError at `fixed.<i>` where these cannot stand together
     *
     * @pure
     */
    public function with(array $items, array $fixed): self
    {
        return self::of(
            $this->from,
            $this->days,
            $items,
            $this->access,
            $this->bays,
            $fixed,
            $this->down,
            $this->dayWeight,
            $this->visitWeight,
            $this->toll,
            $this->people,
        );
    }

    /**
     * @param list<SeasonBay> $bays
     * @param list<SeasonFixed> $fixed
     *
     * @throws InputError
     */
    private static function together(array $bays, array $fixed): void
    {
        $known = array_column($bays, null, 'id');
        foreach ($fixed as $i => $visit) {
            if ($visit->bay !== null && ! isset($known[$visit->bay])) {
                throw InputError::notAmong("fixed.{$i}.bay", 'bays', $visit->bay);
            }
            $others = array_values(array_filter(
                array_slice($fixed, 0, $i),
                static fn(SeasonFixed $o): bool => $o->overlaps($visit),
            ));
            foreach ($others as $other) {
                if ($other->aircraft === $visit->aircraft) {
                    throw InputError::at("fixed.{$i}", "is on days of {$other->id}, of the same aircraft");
                }
            }
            if ($visit->bay === null) {
                continue;
            }
            // Of visits that overlap this one, as many as anywhere stand together on some day on which one begins.
            $same = array_filter($others, static fn(SeasonFixed $o): bool => $o->bay === $visit->bay);
            foreach ([$visit, ...$same] as $first) {
                $day = max($first->start->number, $visit->start->number);
                $many = 1 + count(array_filter($same, static fn(SeasonFixed $o): bool => $o->holds($day)));
                if ($many > $known[$visit->bay]->atOnce) {
                    throw InputError::at("fixed.{$i}", "is one more than {$visit->bay} holds at once");
                }
            }
        }
    }
}
