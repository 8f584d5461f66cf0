<?php

declare(strict_types=1);

namespace Tests\Feature\Deferrals;

use App\Deferrals\Show\Events;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Deferrals\Rate;
use Tests\Feature\WorldCase;

/** How often things go wrong, with what was flown and the rows behind each figure. */
final class ReliabilityTest extends WorldCase
{
    public function test_every_count_is_its_rows_and_every_rate_the_cores(): void
    {
        foreach (Events::WHAT as $what) {
            foreach (Events::BY as $by) {
                $room = $this->as('mika', 'GET', "reliability?what={$what}&by={$by}&days=365")->assertOk()->json();
                foreach ($room['rows'] as $row) {
                    $rows = $this->as('mika', 'GET', 'reliability/rows?'.http_build_query([
                        'what' => $what, 'by' => $by, 'days' => 365, 'key' => $row['key'],
                    ]))->assertOk()->json();
                    self::assertCount($row['events'], $rows, "{$what} by {$by}: {$row['label']}");
                    self::assertNotContains('', array_column($rows, 'link'));
                    if ($row['hours'] > 0) {
                        $rate = Rate::of($row['events'], $row['hours']);
                        self::assertEqualsWithDelta([$rate->low, $rate->high], [$row['low'], $row['high']], 1e-9);
                    }
                }
                $csv = (string) $this->as('mika', 'GET', "reliability.csv?what={$what}&by={$by}&days=365")->assertOk()
                    ->getContent();
                self::assertCount(count($room['rows']) + 1, explode("\r\n", trim($csv)));
            }
        }
        self::assertStringContainsString(
            'the year before has none on record',
            $this->as('mika', 'GET', 'reliability?what=reports&by=system&days=90')->json('sentence'),
        );
        $this->as('mika', 'GET', 'reliability?what=gossip')->assertStatus(422);
    }

    public function test_more_than_in_the_year_before_alarms(): void
    {
        $flown = fn(string $from, string $to): float => (float) DB::table('flying_entries')->where('current', true)
            ->whereBetween('date', [$from, $to])->sum(DB::raw("json_extract(flown, '$.fh')"));
        $room = $this->as('mika', 'GET', 'reliability?what=reports&by=system&days=10')->assertOk()->json();
        $row = array_column($room['rows'], null, 'key')['32'];
        self::assertEqualsWithDelta($flown('2026-04-26', '2026-05-05'), $row['hours'], 1e-6);
        self::assertSame([2, true], [$row['events'], $row['alert']], 'two in ten days, none in the year before');
        $repeats = array_column($room['rows'], null, 'key')['78']['repeats'];
        self::assertSame(1, $repeats);
        self::assertStringContainsString('System 32', $room['sentence']);
    }
}
