<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Shared;

use Jorvel\Core\Shared\Flow;
use PHPUnit\Framework\TestCase;

/** The greatest flow is the smallest cut. */
final class FlowTest extends TestCase
{
    public function test_small_networks_beside_every_cut_there_is(): void
    {
        mt_srand(17);
        for ($n = 0; $n < 200; $n++) {
            $nodes = mt_rand(2, 7);
            $flow = new Flow($nodes);
            $edges = [];
            for ($e = mt_rand(0, 14); $e > 0; $e--) {
                [$from, $to, $room] = [mt_rand(0, $nodes - 1), mt_rand(0, $nodes - 1), mt_rand(0, 9)];
                if ($from !== $to) {
                    $edges[$flow->edge($from, $to, $room)] = [$from, $to, $room];
                }
            }
            $least = PHP_INT_MAX;
            for ($side = 0; $side < 2 ** $nodes; $side++) {
                if (($side & 1) === 1 && ($side & 2) === 0) {
                    $least = min(
                        $least,
                        array_sum(array_map(
                            static fn(array $e): int
                                => (($side >> $e[0]) & 1) === 1 && (($side >> $e[1]) & 1) === 0 ? $e[2] : 0,
                            $edges,
                        )),
                    );
                }
            }
            $pushed = $flow->push(0, 1);
            self::assertSame($least, $pushed);
            self::assertSame(0, $flow->push(0, 1), 'there is no more');
            self::assertArrayNotHasKey(1, $flow->reachable(0));
            // What flows keeps within every edge, and into every node as much as out of it.
            $kept = array_fill(0, $nodes, 0);
            foreach ($edges as $e => [$from, $to, $room]) {
                self::assertGreaterThanOrEqual(0, $flow->carried($e));
                self::assertLessThanOrEqual($room, $flow->carried($e));
                $kept[$from] -= $flow->carried($e);
                $kept[$to] += $flow->carried($e);
            }
            self::assertSame([-$pushed, $pushed], [$kept[0], $kept[1]]);
            self::assertSame(0, array_sum(array_map(abs(...), array_slice($kept, 2))));
        }
    }

    public function test_an_edge_given_more_room_lets_more_through(): void
    {
        $flow = new Flow(3);
        $first = $flow->edge(0, 2, 0);
        $flow->edge(2, 1, 5);
        self::assertSame(0, $flow->push(0, 1));
        $flow->open($first, 3);
        self::assertSame(3, $flow->push(0, 1));
        $flow->open($first, 9);
        self::assertSame(2, $flow->push(0, 1));
        self::assertSame(5, $flow->carried($first));
    }
}
