<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Closure;

/** One way to turn, as it is compared with the others. */
final readonly class Choice
{
    /** A choice within this share of the most probable one is as good, if it moves less. */
    public const SHARE = 0.99;

    /** Probabilities that count as equal, as logarithms; and offsets, relatively. */
    private const EQUAL = 1e-9;

    /**
     * @param list<float> $amounts by adjuster
     * @param float $log of the probability that all is within after it
     * @param float $off from the middles
     */
    public function __construct(public array $amounts, public float $log, public float $off) {}

    /** @pure */
    public function moved(): int
    {
        return count(array_filter($this->amounts, static fn(float $a): bool => $a !== 0.0));
    }

    /** @pure */
    public function turned(): float
    {
        return array_sum(array_map(abs(...), $this->amounts));
    }

    /**
     * The best of some: of those that are as probable as the best but for a hundredth the fewest adjusters, then the
     * most probable, then the nearest to the middles, then the least turned, then the first.
     *
     * @param non-empty-list<self> $choices
     *
     * @pure
     */
    public static function best(array $choices): self
    {
        $share = -log(self::SHARE);
        $left = self::least($choices, static fn(self $c): float => -$c->log, $share);
        $left = self::least($left, static fn(self $c): float => $c->moved(), 0.0);
        $left = self::least($left, static fn(self $c): float => -$c->log, self::EQUAL);
        $off = self::least($left, static fn(self $c): float => $c->off, 0.0)[0]->off;
        $left = self::least($left, static fn(self $c): float => $c->off, self::EQUAL * $off);

        return self::least($left, static fn(self $c): float => $c->turned(), 0.0)[0];
    }

    /**
     * Those of which something is least, or no more above it than so much.
     *
     * @param non-empty-list<self> $choices
     * @param Closure(self): float $of
     *
     * @return non-empty-list<self>
     */
    private static function least(array $choices, Closure $of, float $above): array
    {
        $least = min(array_map($of, $choices));
        $left = [];
        foreach ($choices as $choice) {
            if ($of($choice) <= $least + $above) {
                $left[] = $choice;
            }
        }

        return $left === [] ? $choices : $left;
    }
}
