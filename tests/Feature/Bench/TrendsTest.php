<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Floor\Model\Exchange;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use Tests\Feature\WorldCase;

/** Points over time: whether they wander, and when they will be out. */
final class TrendsTest extends WorldCase
{
    public function test_those_that_will_be_out_first_are_first_and_stand_on_bench(): void
    {
        $room = $this->as('ines', 'GET', 'bench/trends')->assertOk()->json();
        $dated = array_values(array_filter(array_column($room['rows'], 'date')));
        $sorted = $dated;
        sort($sorted);
        self::assertSame($sorted, $dated);
        self::assertSame(array_slice($dated, 0, 10), array_column(
            $this->as('ines', 'GET', 'bench')->json('first'),
            'date',
        ));
        self::assertStringContainsString('right, opening on QA-VFD heads for its limit first', $room['sentence']);
    }

    public function test_a_point_is_shown_with_its_limit_beside_the_fleet_and_begins_anew_with_a_new_unit(): void
    {
        $rows = $this->as('ines', 'GET', 'bench/trends')->json('rows');
        $row = collect((array) $rows)->firstOrFail(static fn(array $r): bool
            => $r['mark'] === 'Q-403' && $r['title'] === 'swing to manual, engine 1');
        $view = $this->as('ines', 'GET', "bench/trends/{$row['readingId']}")->assertOk()->json();
        self::assertSame([-7.0, 7.0, 'falling'], [(float) $view['low'], (float) $view['high'], $view['trend']]);
        self::assertCount(7, $view['fleet'], 'seven other helicopters');
        self::assertNotNull($view['date']);
        // Its control unit was changed between the third reading and the fourth: two readings say nothing yet.
        $reading = Reading::findOrFail($row['readingId']);
        $step = Step::findOrFail($reading->step_id);
        $day = $view['points'][3]['date'];
        Exchange::create([
            'step_id' => $step->id, 'card_id' => $step->card_id, 'aircraft_id' => $step->card->aircraft_id,
            'position' => 'engine 1', 'why' => 'changed', 'on_at' => "{$day}T06:00:00Z", 'stands' => true,
            'hardware' => [],
        ]);
        $again = $this->as('ines', 'GET', "bench/trends/{$row['readingId']}")->assertOk()->json();
        self::assertSame([[$day], null, 'none'], [$again['changed'], $again['date'], $again['trend']]);
        self::assertStringContainsString('too few since it was set', $again['sentence']);
        $this->as('ines', 'GET', 'bench/trends/999999')->assertNotFound();
    }
}
