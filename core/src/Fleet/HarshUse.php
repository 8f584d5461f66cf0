<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\InputError;

/**
 * Harsh use (salt, gravel, sand) shortens intervals: an item names a factor for each condition, an aircraft meets some
 * of them by its base or its role, and the lowest factor it meets counts. Factors are not multiplied with each other.
 */
final readonly class HarshUse
{
    /** @param array<string, float> $factors */
    private function __construct(private array $factors) {}

    /**
     * @param array<string, float> $factors by condition, above 0 and at most 1
     *
     * @throws InputError at the condition
     *
     * @pure
     */
    public static function of(array $factors): self
    {
        foreach ($factors as $condition => $factor) {
            if (! ($factor > 0 && $factor <= 1)) {
                throw InputError::at((string) $condition, 'must be above 0 and at most 1');
            }
        }

        return new self($factors);
    }

    /**
     * What the intervals are multiplied by, and the condition that says so.
     *
     * @param list<string> $conditions
     *
     * @return array{float, string|null} 1 and null where nothing is harsh
     *
     * @pure
     */
    public function under(array $conditions): array
    {
        $lowest = [1.0, null];
        foreach ($conditions as $condition) {
            if (($this->factors[$condition] ?? 1.0) < $lowest[0]) {
                $lowest = [$this->factors[$condition], $condition];
            }
        }

        return $lowest;
    }
}
