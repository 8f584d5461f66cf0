<?php

declare(strict_types=1);

namespace Tests\Browser\Bench;

/** Change-over, cowl flaps, gear and raft. */
final class ShippedLongTest extends ShippedCase
{
    public static function shipped(): iterable
    {
        yield 'change-over' => ['Q-404', 'TRK-76-22', 'ivo', ['Change-over, engine 1', 'Change-over, engine 2'],
            ['Engine 1 to manual', ['high' => '38', 'low' => '29'], true]];
        yield 'cowl flaps' => [
            'QA-VFD', 'SKV-71-31', 'mette', ['Cowl flaps, travel times'], ['How they move', ['entry' => 'jerky'], true],
        ];
        yield 'gear, three ways' => [
            'QC-TAA', 'OLN-32-30', 'stig', ['Normal, up and down', 'By the hand pump', 'Free fall'], null,
        ];
        yield 'raft' => [
            'QC-TAA', 'OLN-25-63', 'stig', ['Raft release'],
            ['Lever locked again', ['paint' => 'yes', 'load' => 'no'], true],
        ];
    }
}
