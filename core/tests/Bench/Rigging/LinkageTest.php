<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench\Rigging;

use Jorvel\Core\Bench\Rigging\Linkage;
use PHPUnit\Framework\TestCase;

/** On paper a linkage stands as it does on the screen: both are held to the same sheet. */
final class LinkageTest extends TestCase
{
    public function test_levers_rods_and_cables_end_where_the_sheet_says(): void
    {
        $sheet = json_decode((string) file_get_contents(__DIR__.'/linkage.json'), true);
        $lines = Linkage::at($sheet['drawing'], array_map(floatval(...), $sheet['read']))->lines();
        [$arm, $cam, $rod, $cable, $screw] = $lines;
        foreach (['arm' => $arm, 'cam' => $cam, 'rod' => $rod, 'screw' => $screw] as $name => $line) {
            self::assertEqualsWithDelta($sheet['ends'][$name], $line['to'], 1e-9, $name);
        }
        self::assertEqualsWithDelta(
            [$sheet['ends']['arm'], $sheet['ends']['cam']],
            [$cable['from'], $cable['to']],
            1e-9,
        );
        self::assertSame($screw['from'], $screw['to']);
        // What is not read yet hangs at its pivot; a rod to nothing ends at the corner.
        $bare = Linkage::at($sheet['drawing'], [])->lines();
        self::assertSame([100.0, 120.0], $bare[0]['to']);
        $loose = Linkage::at(
            ['width' => 9, 'height' => 9, 'parts' => [['kind' => 'rod', 'to' => 'none']]],
            [],
        )->lines();
        self::assertSame([0.0, 0.0], $loose[0]['to']);
    }
}
