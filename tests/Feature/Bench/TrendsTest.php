<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Floor\Model\Exchange;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use Illuminate\Support\Collection;
use Illuminate\Testing\TestResponse;
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
        self::assertStringContainsString(
            'right, opening on QA-VFD will be out first: rising, and out after',
            $room['sentence'],
        );
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
        // Legal on its chart, and further from it than it ever was.
        self::assertMatchesRegularExpression(
            '/^legal, and far from what it read here before: .* mm from its chart\. Read it again$/',
            $say('68', ['temp' => '20', 'gas' => '40'])['strange'],
        );
        self::assertSame('', $say('72', ['temp' => '20', 'gas' => '30'])['strange']);
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

    public function test_a_date_is_taken_into_the_due_list_and_moves_with_every_reading(): void
    {
        $row = collect((array) $this->as('ines', 'GET', 'bench/trends')->json('rows'))->firstOrFail(
            static fn(array $r): bool => $r['mark'] === 'Q-403' && $r['title'] === 'swing to manual, engine 1',
        );
        $follow = fn(bool $is, string $why = 'look at it again'): TestResponse
            => $this->as('ines', 'POST', "bench/trends/{$row['readingId']}/follow", ['follow' => $is, 'why' => $why]);
        $due = fn(): Collection => collect((array) $this->as('ines', 'GET', 'due?days=365')->assertOk()->json('rows'))
            ->where('mark', 'Q-403')->filter(static fn(array $r): bool => str_starts_with($r['key'], 'trend:'));
        self::assertTrue($due()->isEmpty());
        $this->as('ines', 'POST', "bench/trends/{$row['readingId']}/follow", ['follow' => true])->assertUnprocessable();
        self::assertStringContainsString('Ines', $follow(true)->assertOk()->json('followed'));
        $follow(true)->assertUnprocessable()->assertSee('It stands in the due list already. Nothing was saved.');
        $line = $due()->sole();
        self::assertSame([$row['date'], 'TRK-76-22', 'trend', 'Q-403'], [
            $line['date'], $line['code'], $line['drives'], $line['mark'],
        ]);
        self::assertStringContainsString($row['said'], $line['title'], 'one word of it in both places');
        self::assertStringContainsString($line['title'], $this->as('ines', 'GET', 'due.csv?days=365')->getContent());
        $item = collect(
            (array) $this->as('ines', 'GET', 'fleet/Q-403')->json('items'),
        )->firstWhere('key', $line['key']);
        self::assertSame([$row['date'], $row['readingId'], $line['state'], $line['visit']], [
            $item['date'], $item['readingId'], $item['state'], $item['visit'],
        ]);
        // A reading far from its limit: the line heads there no more, and it leaves the list by itself.
        $last = Reading::findOrFail($row['readingId']);
        $last->replicate()->fill(['value' => -1.0, 'at' => '2026-05-05T05:00:00Z', 'kind' => 'as_left'])->save();
        self::assertCount(0, $due());
        $item = collect(
            (array) $this->as('ines', 'GET', 'fleet/Q-403')->json('items'),
        )->firstWhere('key', $line['key']);
        self::assertNull($item['date'], 'it is followed all the same');
        self::assertNull($follow(false, 'it was set')->assertOk()->json('followed'));
        $follow(false)->assertUnprocessable();
        $follow(true)->assertUnprocessable()->assertSee('It heads for no limit now');
    }

    public function test_the_demo_follows_a_cowl_flap_and_a_card_in_a_visit_looks_at_it_again(): void
    {
        $line = fn(): array => collect((array) $this->as('ines', 'GET', 'due?days=365')->json('rows'))
            ->firstOrFail(static fn(array $r): bool => str_starts_with($r['key'], 'trend:'));
        self::assertSame(['QA-VFD', null, 'clear'], [$line()['mark'], $line()['visit'], $line()['state']]);
        $this->cardOf('QA-VFD', 'SKV-71-31', 'mette');
        self::assertNotNull($line()['visit']);
    }

    public function test_a_point_that_goes_by_a_chart_is_followed_by_what_it_has_in_hand(): void
    {
        $row = collect((array) $this->as('ines', 'GET', 'bench/trends')->json('rows'))->first(
            static fn(array $r): bool => str_ends_with($r['title'], 'in hand'),
        );
        self::assertNotNull($row);
        $view = $this->as('ines', 'GET', "bench/trends/{$row['readingId']}")->json();
        $margin = Reading::findOrFail($row['readingId'])->margin;
        self::assertNotNull($margin);
        self::assertEqualsWithDelta($margin, end($view['points'])['value'], 1e-9);
        self::assertSame([0.0, null], [(float) $view['low'], $view['high']]);
    }
}
