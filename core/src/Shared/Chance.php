<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Random numbers from a seed: the same seed gives the same numbers. */
final class Chance
{
    private readonly Randomizer $random;

    /** The second of a pair of normal numbers, kept for the next call. */
    private ?float $kept = null;

    private function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public static function seeded(int $seed): self
    {
        return new self($seed);
    }

    /** From 0 up to 1. */
    public function uniform(): float
    {
        return $this->random->getInt(0, 4_294_967_295) / 4_294_967_296;
    }

    /**
     * A whole number from 0 up to, not including, `$below`.
     *
     * @phpstan-impure
     */
    public function below(int $below): int
    {
        return $this->random->getInt(0, $below - 1);
    }

    /** A standard normal number (Box and Muller, 1958). */
    public function normal(): float
    {
        if ($this->kept !== null) {
            [$normal, $this->kept] = [$this->kept, null];

            return $normal;
        }
        $radius = sqrt(-2 * log(1 - $this->uniform()));
        $angle = 2 * M_PI * $this->uniform();
        $this->kept = $radius * sin($angle);

        return $radius * cos($angle);
    }

    /**
     * A list in another order.
     *
     * @template T
     *
     * @param list<T> $list
     *
     * @return list<T>
     */
    public function shuffle(array $list): array
    {
        return $this->random->shuffleArray($list);
    }
}
