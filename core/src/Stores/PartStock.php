<?php

declare(strict_types=1);

namespace Jorvel\Core\Stores;

use Jorvel\Core\Shared\Day;

use function max;

/** How a part number stands in the store: what can be taken, what is wanted, what comes, and what runs out. */
final readonly class PartStock
{
    /**
     * @param int $usable pieces whose shelf life, where they have one, is not over
     * @param int $short pieces that are wanted and not there
     * @param string $code `short`: not enough even with what is ordered; `waiting`: enough when the order comes;
     *   `expired`: a batch is past its shelf life; `soon`: one soon will be; `enough`
     * @param string|null $batch the one that is past or soon will be, the earliest of several
     */
    private function __construct(
        public int $usable,
        public int $short,
        public string $code,
        public ?string $batch = null,
    ) {}

    /**
     * @param list<array{string, int, Day|null}> $batches name, pieces left, last day of the shelf life or null
     * @param int $wanted pieces reserved
     * @param int $ordered pieces on their way
     * @param int $soon days before its end from which on a shelf life is told
     *
     * @pure
     */
    public static function of(array $batches, int $wanted, int $ordered, Day $on, int $soon): self
    {
        $usable = 0;
        $past = $next = null;
        $left = array_filter($batches, static fn(array $b): bool => $b[1] > 0);
        usort(
            $left,
            static fn(array $a, array $b): int => ($a[2]->number ?? PHP_INT_MAX) <=> ($b[2]->number ?? PHP_INT_MAX),
        );
        foreach ($left as [$name, $pieces, $until]) {
            if ($until !== null && $until->number < $on->number) {
                $past ??= $name;

                continue;
            }
            $usable += $pieces;
            $next ??= $until !== null && $on->daysUntil($until) <= $soon ? $name : null;
        }
        $short = max(0, $wanted - $usable);

        return match (true) {
            $short > $ordered => new self($usable, $short, 'short'),
            $short > 0 => new self($usable, $short, 'waiting'),
            $past !== null => new self($usable, 0, 'expired', $past),
            $next !== null => new self($usable, 0, 'soon', $next),
            default => new self($usable, 0, 'enough'),
        };
    }
}
