<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Deferrals;

use Jorvel\Core\Deferrals\CarriedDevice;
use Jorvel\Core\Deferrals\Reversal;
use Jorvel\Core\Deferrals\SafeStep;
use PHPUnit\Framework\TestCase;

/**
 * The reverse of what was really done: nothing that was not, the last first, and what proves it after what it proves.
 */
final class ReversalTest extends TestCase
{
    /** @param array{title: string, text?: string, ask?: bool, last?: bool}|null $undo */
    private static function did(
        int $no,
        string $kind,
        string $title,
        ?array $undo = null,
        ?float $count = null,
        bool $done = true,
    ): SafeStep {
        return new SafeStep($no, $kind, $title, '', $undo, $done, counts: 'bolts', count: $count);
    }

    public function test_positions_backwards_totals_after_them_the_guarding_lock_last_and_the_proof_after_all(): void
    {
        $steps = [
            self::did(1, 'caution', 'It shears'),
            self::did(2, 'safing_fit', 'Lock the lever', ['title' => 'lock', 'last' => true]),
            self::did(3, 'instruction', 'left shut', ['title' => 'left opened', 'ask' => true]),
            self::did(4, 'count', 'left bolts', ['title' => 'left bolts out'], 1),
            self::did(5, 'instruction', 'right shut', ['title' => 'right opened']),
            self::did(6, 'count', 'right bolts', ['title' => 'right bolts out'], 1),
            self::did(7, 'count', 'all bolts', ['title' => 'bolts in the bag', 'last' => true], 2),
            self::did(8, 'safing_fit', 'Cap it'),
            self::did(9, 'answer', 'dark', ['title' => 'dark, and lit at the test', 'ask' => true]),
            self::did(10, 'instruction', 'did not apply', ['title' => 'never'], done: false),
            self::did(11, 'count', 'never counted', ['title' => 'never'], done: false),
            self::did(12, 'instruction', 'nothing to take back'),
        ];
        $devices = [
            new CarriedDevice('51', 'Cap', 'unit', 8, 'kit bag'),
            new CarriedDevice('50', 'Lever lock', 'unit', 2, null),
            new CarriedDevice('40', 'Collar', 'panel', null, null),
        ];
        $back = Reversal::steps($steps, $devices, ['A', 'B'], ['assembly']);
        self::assertSame([
            'It shears', 'Cap off, unit', 'right bolts out', 'right opened', 'left bolts out', 'left opened',
            'bolts in the bag', 'Lever lock off, unit', 'Collar off, panel', 'Channel A set back', 'Channel B set back',
            'Channels A and B compared', 'dark, and lit at the test', 'Independent inspection',
        ], array_column($back, 'title'));
        $by = array_column($back, null, 'title');
        self::assertSame([2.0, 2.0], [$by['bolts in the bag']['spec']['min'], $by['bolts in the bag']['spec']['max']]);
        self::assertSame(['answer', 'instruction'], [$by['left opened']['kind'], $by['right opened']['kind']]);
        self::assertSame(51, $by['Cap off, unit']['spec']['carried']);
        self::assertSame('What was taken off for it: kit bag.', $by['Cap off, unit']['text']);
    }

    public function test_a_device_that_is_off_already_is_not_taken_off_again(): void
    {
        $back = Reversal::steps([self::did(1, 'safing_fit', 'Collar it', ['title' => 'collar'])], [], []);
        self::assertSame([], $back);
    }
}
