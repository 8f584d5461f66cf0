<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function array_sum;

/** Where a phased fleet stands on its line, and the hours that bring it back onto it. */
final readonly class StaggerResult
{
    /**
     * @param StaggerLine $now sorted by hours left
     * @param StaggerLine $then after the proposed weeks, in the places the aircraft then take
     * @param array<array-key, list<float>> $hours proposed, by aircraft and week
     * @param list<float> $tasks
     * @param list<float> $short of each week's task, what nobody can fly
     */
    public function __construct(
        public StaggerLine $now,
        public StaggerLine $then,
        public array $hours,
        public array $tasks,
        public array $short,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $end = [];
        foreach ($this->then->places as [$id, $left, $target]) {
            $end[$id] = [$left, $target];
        }
        $proposal = [];
        foreach ($this->hours as $id => $hours) {
            [$left, $target] = $end[$id];
            $proposal[] = [
                'id' => (string) $id,
                'hours' => $hours,
                'total' => (float) array_sum($hours),
                'end_left' => $left,
                'end_target' => $target,
                'end_distance' => $left - $target,
            ];
        }

        return [
            'line' => array_map(
                static fn(array $p): array => [
                    'id' => $p[0],
                    'left' => $p[1],
                    'target' => $p[2],
                    'distance' => $p[1] - $p[2],
                ],
                $this->now->places,
            ),
            'spread' => $this->now->spread(),
            'proposal' => $proposal,
            'end_spread' => $this->then->spread(),
            'weeks' => array_map(
                static fn(float $task, float $short): array => [
                    'task' => $task,
                    'flown' => $task - $short,
                    'short' => $short,
                ],
                $this->tasks,
                $this->short,
            ),
        ];
    }
}
