<?php

declare(strict_types=1);

namespace Jorvel\Core\Practice;

use Jorvel\Core\Bench\Rigging\Adjuster;
use Jorvel\Core\Bench\Rigging\ReadPoint;
use Jorvel\Core\Bench\Rigging\RigMatch;
use Jorvel\Core\Bench\Rigging\Turn;
use Jorvel\Core\Shared\Chance;

/**
 * A linkage that is not there: screws and rods that turn points, with the book's effects and its own, and with whatever
 * is wrong with it. It is read with noise and turned; the same seed does the same.
 *
 * Every case can be rigged: it comes from one that was in the middle of its limits, by turns that can be turned back.
 */
final class SimulatedLinkage
{
    /** Half a band of limits, in the noise of one reading. */
    private const HALF_BAND = 4.0;

    /** @var array<string, float> the true value of each point */
    private array $values = [];

    /** @var array<string, float> what friction still holds back, by point */
    private array $held = [];

    /** @var array<string, int> the direction each adjuster was last moved in */
    private array $way = [];

    private int $runs = 0;

    private bool $slipped = false;

    private bool $misread = false;

    /**
     * @param list<ReadPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, float>> $book effects as the manual gives them
     * @param array<string, array<string, float>> $true effects
     * @param list<RigMatch> $matches
     */
    private function __construct(
        public readonly array $points,
        public readonly array $adjusters,
        public readonly array $book,
        public readonly array $true,
        public readonly array $matches,
        private readonly LinkageFaults $faults,
        private readonly Chance $chance,
    ) {}

    /** Three to five points, two to four adjusters, of which each does one thing above all and a little else. */
    public static function seeded(int $seed, LinkageFaults $faults): self
    {
        $chance = Chance::seeded($seed);
        $points = $adjusters = $book = $true = [];
        $many = 3 + $chance->below(3);
        for ($i = 0; $i < $many; $i++) {
            $noise = [0.1, 0.2, 0.25][$chance->below(3)];
            $middle = (float) $chance->below(60);
            $half = self::HALF_BAND * $noise;
            $points[] = ReadPoint::of("point_{$i}", $middle - $half, $middle + $half, $noise);
        }
        $screws = 2 + $chance->below(min(3, $many - 1));
        for ($j = 0; $j < $screws; $j++) {
            $adjuster = Adjuster::of("screw_{$j}", [0.25, 0.5][$chance->below(2)], -5, 5, Turn::Clockwise);
            $adjusters[] = $adjuster;
            foreach ($points as $i => $point) {
                $own = $i % $screws === $j;
                $size = ($own ? 1.0 + $chance->uniform() : 0.35 * $chance->uniform()) * self::HALF_BAND * $point->noise;
                $effect = round($size * ($chance->below(2) === 0 ? -1 : 1), 3);
                $book[$adjuster->id][$point->id] = $effect;
                $true[$adjuster->id][$point->id] = $effect * (1 + $faults->book * $chance->normal());
            }
        }
        $linkage = new self($points, $adjusters, $book, $true, [], $faults, $chance);
        foreach ($points as $point) {
            $linkage->values[$point->id] = $point->middle();
            $linkage->held[$point->id] = 0.0;
        }
        foreach ($adjusters as $adjuster) {
            $linkage->shift($adjuster->id, round(3 * (2 * $chance->uniform() - 1) / $adjuster->step) * $adjuster->step);
        }

        return $linkage;
    }

    /**
     * A ground run: every point as its gauge shows it.
     *
     * @return array<string, float>
     */
    public function run(): array
    {
        $this->runs++;
        if ($this->faults->slips === $this->runs - 1 && $this->runs > 1 && ! $this->slipped) {
            $this->slipped = true;
            $adjuster = $this->adjusters[$this->chance->below(count($this->adjusters))];
            $this->shift($adjuster->id, 2 * $adjuster->step);
        }
        $shown = $this->again();
        if ($this->faults->misread === $this->runs && ! $this->misread) {
            $this->misread = true;
            $point = $this->points[$this->chance->below(count($this->points))];
            $shown[$point->id] += 8 * $point->noise * ($this->chance->below(2) === 0 ? -1 : 1);
        }

        return $shown;
    }

    /**
     * The gauges read once more in the same run.
     *
     * @return array<string, float>
     */
    public function again(): array
    {
        $shown = [];
        foreach ($this->points as $point) {
            $shown[$point->id] = $this->values[$point->id] + $point->noise * $this->chance->normal();
        }

        return $shown;
    }

    /** @param array<string, float> $moves signed amounts by adjuster */
    public function turn(array $moves): void
    {
        foreach ($this->held as $id => $held) {
            $this->values[$id] += $held;
            $this->held[$id] = 0.0;
        }
        foreach ($this->adjusters as $adjuster) {
            $amount = $moves[$adjuster->id] ?? 0.0;
            $way = $amount <=> 0;
            if ($way === 0) {
                continue;
            }
            $play = ($this->way[$adjuster->id] ?? $way) === $way ? 0.0 : $this->faults->play * $adjuster->step;
            $this->way[$adjuster->id] = $way;
            $this->shift($adjuster->id, $way * max(0.0, abs($amount) - $play), $this->faults->friction);
        }
    }

    /** @return array<string, float> the true values @pure */
    public function truth(): array
    {
        return $this->values;
    }

    private function shift(string $adjuster, float $amount, float $friction = 0.0): void
    {
        foreach ($this->true[$adjuster] as $point => $effect) {
            $this->values[$point] += (1 - $friction) * $effect * $amount;
            $this->held[$point] = ($this->held[$point] ?? 0.0) + $friction * $effect * $amount;
        }
    }
}
