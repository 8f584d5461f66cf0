<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/**
 * Whether what an inspection has turned up and is still going to turn up can be fixed before the aircraft must leave.
 */
final readonly class FixWindow
{
    /** The chance from which on the window is taken to hold, and below which it will not do. */
    private const SURE = 0.9;

    private const LIKELY = 0.5;

    /**
     * @param float $openFix hours of fixes known and not worked
     * @param float $personHours there until the aircraft must leave
     * @param float $otherWork hours of all other cards left
     * @param float $usable share of people's hours that becomes work on cards, above 0 and at most 1
     */
    public function __construct(
        public Findings $findings,
        private float $median,
        private float $sigma,
        public float $openFix,
        public float $personHours,
        public float $otherWork,
        private float $usable = 0.85,
    ) {}

    /** Hours that are left for fixes; below 0 when the other work alone does not fit. @pure */
    public function capacity(): float
    {
        return $this->personHours * $this->usable - $this->otherWork;
    }

    /** Hours of fixes that are to be expected from findings still to come. @pure */
    public function expectedFix(): float
    {
        return $this->findings->expectedMore * $this->median * exp($this->sigma ** 2 / 2);
    }

    /** The chance that all fixes fit. */
    public function chance(int $seed = 1, int $draws = 20_000): float
    {
        return $this->findings->chanceToFit(
            $this->median,
            $this->sigma,
            $this->capacity() - $this->openFix,
            $seed,
            $draws,
        );
    }

    /** What a chance means: `clear`, `watch` while there is time to act, `stop`. @pure */
    public static function state(float $chance): string
    {
        return match (true) {
            $chance >= self::SURE => 'clear',
            $chance >= self::LIKELY => 'watch',
            default => 'stop',
        };
    }

    /** The same with more people's hours, or with fixes put off. @pure */
    public function with(float $morePersonHours = 0.0, float $lessFix = 0.0): self
    {
        return new self(
            $this->findings,
            $this->median,
            $this->sigma,
            $this->openFix - $lessFix,
            $this->personHours + $morePersonHours,
            $this->otherWork,
            $this->usable,
        );
    }
}
