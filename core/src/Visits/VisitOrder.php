<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function count;

/**
 * What each card of a visit waits for: induct, make safe, open, look, fix, close, test, release.
 *
 * A panel is opened before the first card that needs it and closed after the last. What needs jacks lies between
 * raising and lowering; what needs the wheels before the one, or, where it is a test that needs no panel open, after
 * the other. A test that needs no panel open waits until all are closed. Everything waits for induction and making
 * safe, and the last look for everything.
 */
final class VisitOrder
{
    /** @var array<string, array<string, true>> by card: what it waits for */
    private array $waits = [];

    /** @param list<VisitTask> $tasks */
    private function __construct(private readonly array $tasks) {}

    /**
     * @param list<VisitTask> $tasks with ids that differ
     *
     * @return array<string, list<string>> ids that each waits for, by "#id"; none that another of them already waits
     *   for among induct and safe
     *
     * @pure
     */
    public static function of(array $tasks): array
    {
        return (new self($tasks))->waits();
    }

    /** @return array<string, list<string>> */
    private function waits(): array
    {
        foreach ($this->tasks as $task) {
            $this->waits["#{$task->id}"] = array_fill_keys(
                array_map(static fn(string $id): string => "#{$id}", $task->after),
                true,
            );
        }
        $this->panels();
        $this->jacks();
        $this->tests();
        $this->frame();

        return array_map(
            static fn(array $ids): array => array_map(
                static fn(string $id): string => substr($id, 1),
                array_keys($ids),
            ),
            $this->waits,
        );
    }

    private function panels(): void
    {
        foreach ($this->tasks as $task) {
            foreach ($task->panels as $panel) {
                $this->wait([$task], $this->making("open:{$panel}"));
                $this->wait($this->making("close:{$panel}"), [$task]);
            }
            if ($task->makes !== null && str_starts_with($task->makes, 'close:')) {
                $this->wait([$task], $this->making('open:'.substr($task->makes, 6)));
            }
        }
    }

    private function jacks(): void
    {
        $raise = $this->making('raise');
        $lower = $this->making('lower');
        $up = array_filter($this->tasks, static fn(VisitTask $t): bool => $t->makes === null && $t->jacks === 'on');
        $down = array_filter($this->tasks, static fn(VisitTask $t): bool => $t->makes === null && $t->jacks === 'off');
        $late = array_filter(
            $down,
            static fn(VisitTask $t): bool => $t->stage === VisitStage::Test && $t->panels === [],
        );
        $this->wait($up, $raise);
        $this->wait($lower, [...$up, ...$raise]);
        $this->wait($late, $lower);
        $this->wait($raise, array_diff_key($down, $late));
    }

    private function tests(): void
    {
        $closers = array_filter(
            $this->tasks,
            static fn(VisitTask $t): bool => $t->makes !== null && str_starts_with($t->makes, 'close:'),
        );
        $tests = array_filter(
            $this->tasks,
            static fn(VisitTask $t): bool => $t->stage === VisitStage::Test && $t->makes === null && $t->panels === [],
        );
        $this->wait($tests, $closers);
    }

    private function frame(): void
    {
        $in = static fn(VisitStage $stage): \Closure => static fn(VisitTask $t): bool => $t->stage === $stage;
        $induct = array_filter($this->tasks, $in(VisitStage::Induct));
        $safe = array_filter($this->tasks, $in(VisitStage::Safe));
        $last = array_filter($this->tasks, $in(VisitStage::Release));
        $this->wait($safe, $induct);
        $this->wait($last, array_diff_key($this->tasks, $last));
        foreach (array_diff_key($this->tasks, $induct, $safe, $last) as $task) {
            if ($this->waits["#{$task->id}"] === []) {
                $this->wait([$task], count($safe) > 0 ? $safe : $induct);
            }
        }
    }

    /** @return array<int, VisitTask> */
    private function making(string $what): array
    {
        return array_filter($this->tasks, static fn(VisitTask $t): bool => $t->makes === $what);
    }

    /**
     * @param array<int, VisitTask> $tasks
     * @param array<int, VisitTask> $for
     */
    private function wait(array $tasks, array $for): void
    {
        foreach ($tasks as $task) {
            foreach ($for as $other) {
                if ($other->id !== $task->id) {
                    $this->waits["#{$task->id}"]["#{$other->id}"] = true;
                }
            }
        }
    }
}
