<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Floor\Model\Exchange;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use Tests\Feature\WalksCards;
use Tests\Feature\WorldCase;

/** Points over time: whether they wander, and when they will be out. */
final class TrendsTest extends WorldCase
{
    use WalksCards;

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

    public function test_beside_a_sheet_stands_what_was_read_before_and_what_is_legal_and_strange_is_pointed_out(): void
    {
        $card = $this->cardOf('Q-404', 'TRK-32-91', 'aki');
        $step = $card->steps()->where('title', 'Extension by the chart, left')->firstOrFail();
        $beside = collect(
            (array) $this->as('aki', 'GET', "cards/{$card->id}/steps/{$step->no}/beside")->assertOk()->json(),
        )
            ->keyBy('point');
        self::assertSame(['temp', 'gas', 'bright'], $beside->keys()->all());
        self::assertMatchesRegularExpression('/^Q-40\d [0-9.]+$/', $beside['bright']['sister']);
        [$low, $high] = array_map(floatval(...), explode(' to ', $beside['bright']['fleet']));
        $say = fn(string $bright, array $others): array => (array) $this->as(
            'aki',
            'POST',
            "cards/{$card->id}/steps/{$step->no}/preview",
            ['entry' => $bright, 'tool' => '', 'point' => 'bright', 'entries' => $others],
        )->assertOk()->json();
        // At 20 °C the chart gives 63 mm for 40 bar, and 72 for 30.
        $usual = $say('63', ['temp' => '20', 'gas' => '40']);
        self::assertSame(['pass', '58 to 68 mm', ''], [$usual['verdict'], $usual['must'], $usual['strange']]);
        self::assertLessThan($high, $low);
        self::assertSame('fail', $say('74', ['temp' => '20', 'gas' => '40'])['verdict']);
        $waits = $say('63', ['temp' => '20']);
        self::assertSame(['invalid', 'is read by gas: read that first'], [$waits['verdict'], $waits['said']]);
        // Travel of a cowl flap: legal to five seconds, and it always took some four.
        $flaps = $this->cardOf('QA-VFD', 'SKV-71-31', 'mette');
        $travel = $flaps->steps()->where('title', 'like', 'Open and shut%')->firstOrFail();
        $took = fn(string $s): string => (string) $this->as(
            'mette',
            'POST',
            "cards/{$flaps->id}/steps/{$travel->no}/preview",
            ['entry' => $s, 'tool' => '', 'point' => 'lopen'],
        )->assertOk()->json('strange');
        self::assertSame(['', ''], [$took('4.1'), $took('4.3')], 'a tenth or two more than ever is nothing');
        self::assertSame('legal, and far from what it read here before: 4 to 4.2 s. Read it again', $took('4.9'));
        self::assertSame('', $took('9'), 'what fails is not strange but wrong');
    }
}
