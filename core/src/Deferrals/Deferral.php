<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/** A defect carried: its category, its limits, when it was found and by whose calendar. */
final readonly class Deferral
{
    /** Days for the categories that have a number of their own. */
    public const RULES = ['B' => 3, 'C' => 10, 'D' => 120];

    /**
     * @param array<string, float> $usage by counter: how much may be flown with it
     * @param array<string, float> $atDiscovery by counter
     * @param list<Extension> $extensions
     */
    private function __construct(
        public Instant $discovered,
        public \DateTimeZone $zone,
        public ?int $days,
        public array $usage,
        public array $atDiscovery,
        public array $extensions,
    ) {}

    /**
     * @param int|null $days a tighter calendar limit than the category's, or category A's own
     * @param array<string, float> $usage by counter, at least 0
     * @param array<string, float> $atDiscovery by counter
     * @param list<Extension> $extensions
     * @param array<string, int> $rules days for B, C and D
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        Category $category,
        Instant $discovered,
        \DateTimeZone $zone,
        ?int $days,
        array $usage,
        array $atDiscovery,
        array $extensions,
        array $rules,
    ): self {
        if ($category === Category::A && $days === null && $usage === []) {
            throw InputError::at('limits', 'are needed for category A');
        }
        $first = match (true) {
            $category === Category::A => $days,
            $days === null => $rules[$category->value],
            default => min($days, $rules[$category->value]),
        };
        foreach (array_keys($usage) as $counter) {
            if (! isset($atDiscovery[$counter])) {
                throw InputError::missing('at_discovery.'.$counter);
            }
        }
        $deferral = new self($discovered, $zone, $first, $usage, $atDiscovery, $extensions);
        foreach ($extensions as $i => $extension) {
            if ($i >= $category->extensions()) {
                throw InputError::at("extensions.{$i}", $category->extensions() === 0
                    ? "category {$category->value} cannot be extended"
                    : "category {$category->value} can be extended once");
            }
            if ($extension->days > (int) $first) {
                throw InputError::at(
                    "extensions.{$i}.days",
                    "must be no longer than the first interval, {$first} days",
                );
            }
            $end = Instant::firstAfter(
                $deferral->lastDay($i) ?? throw InputError::at("extensions.{$i}", 'extends no calendar limit'),
                $zone,
            );
            if ($extension->granted->isBefore($discovered) || $end->isBefore($extension->granted)) {
                throw InputError::at(
                    "extensions.{$i}.granted",
                    "must lie between the discovery and {$end}, the end that it extends",
                );
            }
        }

        return $deferral;
    }

    /**
     * The last local date on which it may be carried; the day of discovery does not count.
     *
     * @param int|null $extensions how many of them to count; all where null
     *
     * @return Day|null null where only usage limits it
     *
     * @pure
     */
    public function lastDay(?int $extensions = null): ?Day
    {
        if ($this->days === null) {
            return null;
        }
        $added = array_sum(array_map(
            static fn(Extension $e): int => $e->days,
            array_slice($this->extensions, 0, $extensions),
        ));

        return $this->discovered->dayIn($this->zone)->plusDays($this->days + $added);
    }
}
