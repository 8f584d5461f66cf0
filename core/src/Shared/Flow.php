<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

use function count;
use function min;

/**
 * The greatest flow through a small network of whole-number capacities.
 *
 * Shortest augmenting paths by layers (Dinic): as many phases as there are distances, each a depth-first search that
 * never looks at a dead edge twice.
 */
final class Flow
{
    /** @var array<int, int> of edge e; e ^ 1 is its reverse */
    private array $to = [];

    /** @var array<int, int> what edge e can still carry */
    private array $left = [];

    /** @var list<list<int>> edges by node */
    private array $out;

    /** @var array<int, int> */
    private array $level = [];

    /** @var array<int, int> */
    private array $next = [];

    /** @param int $nodes how many; they are numbered from 0 */
    public function __construct(int $nodes)
    {
        $this->out = array_fill(0, $nodes, []);
    }

    /** @return int the edge's number, for {@see carried()} and {@see open()} */
    public function edge(int $from, int $to, int $capacity): int
    {
        $e = count($this->to);
        array_push($this->to, $to, $from);
        array_push($this->left, $capacity, 0);
        $this->out[$from][] = $e;
        $this->out[$to][] = $e + 1;

        return $e;
    }

    /** Gives an edge more room. */
    public function open(int $edge, int $more): void
    {
        $this->left[$edge] += $more;
    }

    /** What flows through an edge now. */
    public function carried(int $edge): int
    {
        return $this->left[$edge ^ 1];
    }

    /** Pushes as much more as can be pushed. */
    public function push(int $source, int $sink): int
    {
        $total = 0;
        while (isset($this->layer($source)[$sink])) {
            $this->next = [];
            while (($some = $this->along($source, $sink, PHP_INT_MAX)) > 0) {
                $total += $some;
            }
        }

        return $total;
    }

    /** @return array<int, int> distance by node, of those that something could still flow to from a source */
    public function reachable(int $source): array
    {
        return $this->layer($source);
    }

    /** @return array<int, int> */
    private function layer(int $source): array
    {
        $this->level = [$source => 0];
        $queue = [$source];
        for ($i = 0; $i < count($queue); $i++) {
            foreach ($this->out[$queue[$i]] as $e) {
                if ($this->left[$e] > 0 && ! isset($this->level[$this->to[$e]])) {
                    $this->level[$this->to[$e]] = $this->level[$queue[$i]] + 1;
                    $queue[] = $this->to[$e];
                }
            }
        }

        return $this->level;
    }

    private function along(int $node, int $sink, int $room): int
    {
        if ($node === $sink) {
            return $room;
        }
        $edges = $this->out[$node];
        for ($i = $this->next[$node] ?? 0; $i < count($edges); $i++) {
            $this->next[$node] = $i;
            $e = $edges[$i];
            if ($this->left[$e] > 0 && ($this->level[$this->to[$e]] ?? -1) === $this->level[$node] + 1) {
                $some = $this->along($this->to[$e], $sink, min($room, $this->left[$e]));
                if ($some > 0) {
                    $this->left[$e] -= $some;
                    $this->left[$e ^ 1] += $some;

                    return $some;
                }
            }
        }
        $this->next[$node] = count($edges);

        return 0;
    }
}
