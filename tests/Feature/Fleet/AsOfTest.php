<?php

declare(strict_types=1);

namespace Tests\Feature\Fleet;

use App\Fleet\Model\Aircraft;
use App\Shared\Csv;
use Tests\Feature\WorldCase;

/** Which aircraft cannot fly on a day to come, and why; the same as Fleet, the due list and the visits say. */
final class AsOfTest extends WorldCase
{
    public function test_it_agrees_with_fleet_with_the_due_list_and_with_the_visits(): void
    {
        $ask = fn(string $query): array => (array) $this->as('mika', 'GET', "as-of{$query}")->assertOk()->json();
        $fleet = collect((array) $this->as('mika', 'GET', 'fleet')->json('rows'))->keyBy('mark');
        foreach (['2026-05-05', '2026-05-14', '2026-06-20'] as $day) {
            $is = collect((array) $ask("?day={$day}")['rows'])->keyBy('mark');
            self::assertSame(Aircraft::count(), $is->count());
            foreach ($fleet as $mark => $row) {
                $stands = array_filter($row['visits'], static fn(array $v): bool => $v['from'] <= self::days($day)
                    && self::days($day) <= $v['to']);
                self::assertSame($stands !== [], $is[$mark]['state'] === 'waiting', "{$mark} on {$day}");
                if ($stands === [] && $row['stop'] !== null && $row['stop']['date'] < $day) {
                    // What ends its reach is why, and it is named first or near it.
                    self::assertSame('stop', $is[$mark]['state'], "{$mark} on {$day}");
                    self::assertStringContainsString($row['stop']['title'], implode('; ', $is[$mark]['why']));
                }
                if ($is[$mark]['state'] === 'clear' && $row['stop'] !== null) {
                    self::assertGreaterThanOrEqual($day, $row['stop']['date'], "{$mark} on {$day}");
                }
            }
        }
        // Whatever is past on a day and in no visit keeps its aircraft then.
        $late = collect((array) $this->as('mika', 'GET', 'due?days=30')->json('rows'))->filter(
            static fn(array $l): bool => $l['date'] < '2026-05-20' && $l['visit'] === null && $l['drives'] !== 'trend',
        )->pluck('mark')->unique();
        $kept = collect((array) $ask('?day=2026-05-20')['rows'])->where('state', '!=', 'clear')->pluck('mark');
        self::assertNotEmpty($late);
        self::assertSame([], $late->diff($kept)->values()->all());
        self::assertMatchesRegularExpression(
            '/^On Wed 20 May \d+ of 20 aircraft cannot fly: \d+ for what is not planned away/',
            $ask('?day=2026-05-20')['sentence'],
        );
    }

    public function test_a_visit_whose_plan_ends_too_late_may_keep_its_aircraft_until_then(): void
    {
        // It must leave on the 6th, and by its plan it leaves on the morning of the 12th.
        $said = 'By its plan it leaves on Tue 12 May, 08:00; it must leave on Wed 6 May.';
        $states = [];
        foreach (['06', '07', '12', '13'] as $day) {
            $is = (array) $this->as('mika', 'GET', "as-of?day=2026-05-{$day}")->assertOk()->json();
            $row = array_column($is['rows'], null, 'mark')['QC-TAC'];
            $states[$day] = $row['state'];
            self::assertSame($day !== '13', $row['visitId'] !== null, 'it leads to the visit');
            self::assertSame($day !== '13', str_contains(implode(' ', $row['why']), lcfirst($said)), $day);
            self::assertSame(
                $row['state'] === 'watch',
                str_contains($is['sentence'], 'One more may not be out of its visit yet.'),
                $day,
            );
        }
        self::assertSame(['06' => 'waiting', '07' => 'watch', '12' => 'watch', '13' => 'clear'], $states);
        // Fleet, the aircraft, the visit and Release say the same of it.
        $bracket = array_column($this->as('mika', 'GET', 'fleet')->json('rows'), null, 'mark')['QC-TAC']['visits'][0];
        self::assertStringContainsString($said, $bracket['doubt']);
        self::assertSame($bracket, $this->as('mika', 'GET', 'fleet/QC-TAC')->json('reach.visits.0'));
        self::assertContains($said, $this->as('mika', 'GET', "visits/{$bracket['id']}")->json('doubts'));
        self::assertContains($said, array_column($this->as('mika', 'GET', 'release')->json('visits'), 'when'));
    }

    public function test_by_base_as_csv_and_no_day_that_is_past(): void
    {
        $all = (array) $this->as('mika', 'GET', 'as-of?day=2026-05-14')->json();
        $base = $all['bases'][0];
        $of = (array) $this->as('mika', 'GET', 'as-of?day=2026-05-14&base='.urlencode($base))->assertOk()->json('rows');
        self::assertSame([$base], array_values(array_unique(array_column($of, 'base'))));
        $lines = Csv::read((string) $this->as('mika', 'GET', 'as-of.csv?day=2026-05-14')->assertOk()->getContent());
        self::assertSame(
            collect((array) $all['rows'])->pluck('mark')->unique()->sort()->values()->all(),
            collect((array) $lines)->skip(1)->map(static fn(array $l): string => (string) $l[1])->unique()->sort()
                ->values()->all(),
        );
        $this->as('mika', 'GET', 'as-of?day=2026-05-04')->assertUnprocessable()->assertSee('take a day from today');
        $this->as('mika', 'GET', 'as-of?day=2029-05-04')->assertUnprocessable();
        $this->as('mika', 'GET', 'as-of?day=soon')->assertUnprocessable();
    }

    private static function days(string $day): int
    {
        return (int) (new \DateTimeImmutable('2026-05-05'))->diff(new \DateTimeImmutable($day))->format('%r%a');
    }
}
