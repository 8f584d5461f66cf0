<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/**
 * Stands in for a flying programme: what each aircraft flew on a day, from a seed. The same seed, mark and day always
 * give the same flying, in whatever order they are asked for.
 */
final readonly class FlyingSimulator
{
    private function __construct(private int $seed) {}

    /** @pure */
    public static function seeded(int $seed): self
    {
        return new self($seed);
    }

    /**
     * A day's flying around its mean: some days nothing, else 0.6 to 1.5 times the mean of the days that are flown;
     * hours to a tenth, landings and cycles whole.
     *
     * @param array<string, float> $mean use that is planned for the day, by counter
     * @param float $idle share of days on which it stays on the ground, 0 to 1
     *
     * @return array<string, float>
     *
     * @pure
     */
    public function day(string $mark, Day $day, array $mean, float $idle = 0.1): array
    {
        $flies = $this->chance($mark, $day, 'idle') >= $idle;
        $much = (0.6 + 0.9 * $this->chance($mark, $day, 'much')) / 1.05 / (1 - min($idle, 0.99));
        $out = [];
        foreach ($mean as $counter => $amount) {
            $value = $flies ? $amount * $much : 0.0;
            $out[$counter] = $counter === 'fh' ? round($value, 1) : round(
                $value + $this->chance($mark, $day, $counter) - 0.5,
            );
            $out[$counter] = max(0.0, $flies ? $out[$counter] : 0.0);
        }

        return $out;
    }

    /**
     * A number from 0 up to 1 that belongs to this seed, mark, day and question.
     *
     * @pure
     */
    public function chance(string $mark, Day $day, string $question): float
    {
        return hexdec(substr(hash('sha256', "{$this->seed}|{$mark}|{$day->number}|{$question}"), 0, 8)) / 4294967296;
    }
}
