<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_keys;
use function count;

use Jorvel\Core\Shared\InputError;

/**
 * What a recorder took: a time axis and one column for each signal, all of one length. Columns rather than rows, so
 * that an hour at 20 Hz is gone through in a fraction of a second.
 */
final readonly class Samples
{
    /**
     * @param list<float> $t seconds, strictly rising
     * @param array<string, list<float>> $signals by name
     */
    private function __construct(public array $t, public array $signals) {}

    /**
     * @param list<float> $t
     * @param array<string, list<float>> $signals
     *
     * @throws InputError at `samples` where times do not rise, or a column is shorter or longer than the time axis
     *
     * @pure
     */
    public static function of(array $t, array $signals): self
    {
        $n = count($t);
        foreach ($signals as $name => $column) {
            if (count($column) !== $n) {
                throw InputError::at('samples', "{$name} has ".count($column)." values for {$n} times");
            }
        }
        for ($i = 1; $i < $n; $i++) {
            if ($t[$i] <= $t[$i - 1]) {
                throw InputError::at('samples', "t does not rise at sample {$i}");
            }
        }

        return new self($t, $signals);
    }

    /** @pure */
    public function count(): int
    {
        return count($this->t);
    }

    /** @return list<string> @pure */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->signals));
    }

    /**
     * @return list<float>
     *
     * @throws InputError at `samples` for a signal that is not there
     *
     * @pure
     */
    public function column(string $name): array
    {
        return $this->signals[$name] ?? throw InputError::at('samples', "have no signal \"{$name}\"");
    }

    /** The first sample at or after a time; the count of samples where there is none. @pure */
    public function at(float $t): int
    {
        [$low, $high] = [0, count($this->t)];
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($this->t[$middle] < $t) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
