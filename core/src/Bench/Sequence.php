<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_diff;
use function array_merge;

use Jorvel\Core\Shared\InputError;

/**
 * In which order things moved, beside the order in which they must: nose before mains, the mains together or either.
 */
final readonly class Sequence
{
    /**
     * @param list<string> $late ids of what moved before something that should have been before it
     */
    private function __construct(public Verdict $verdict, public array $late) {}

    /**
     * @param list<list<string>> $order groups of ids, first to last; within one group any order
     * @param array<string, int> $seen the place of each, from 1; several may share one
     *
     * @throws InputError at `seen` for what is not named, or without a place
     *
     * @pure
     */
    public static function of(array $order, array $seen): self
    {
        $all = array_merge(...$order);
        $keys = array_map(strval(...), array_keys($seen));
        foreach (array_diff($keys, $all) as $id) {
            throw InputError::notAmong('seen', 'things that are watched', $id);
        }
        foreach (array_diff($all, $keys) as $id) {
            throw InputError::at('seen', "has no place for {$id}");
        }
        $late = [];
        $after = 0;
        foreach ($order as $group) {
            $places = array_map(static fn(string $id): int => $seen[$id], $group);
            foreach ($group as $id) {
                // What moves with, or before, the group that should have been before it moved too soon.
                if ($seen[$id] <= $after) {
                    $late[] = $id;
                }
            }
            $after = max([$after, ...$places]);
        }

        return new self($late === [] ? Verdict::Pass : Verdict::Fail, $late);
    }
}
