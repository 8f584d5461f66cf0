<?php

declare(strict_types=1);

namespace Tests\Feature\Fleet;

use App\Fleet\Model\Aircraft;
use Tests\Feature\WorldCase;

/** What the Fleet room tells of the demo world. */
final class StoryTest extends WorldCase
{
    public function test_fleet_tells_the_story(): void
    {
        $fleet = $this->as('mika', 'GET', 'fleet')->json();
        $rows = array_column($fleet['rows'], null, 'mark');
        self::assertCount(20, $rows);
        self::assertSame(
            'Q-405 can fly until Tue 5 May: its deferral of Gearbox oil temperature repeater runs out today.',
            $fleet['sentence'],
        );
        self::assertSame(['usage', 'Propeller governor check', '46.5 flight hours'], [
            $rows['QA-VFC']['stop']['kind'], $rows['QA-VFC']['stop']['title'], $rows['QA-VFC']['stop']['detail'],
        ]);
        self::assertSame('waiting', $rows['QA-VFA']['state'], 'in its block check');
        self::assertSame('waiting', $rows['Q-403']['state'], 'waiting for its re-read card');
        self::assertCount(2, $rows['QC-TAB']['fuses'], 'a locked-out reverser and a second deferral');
        self::assertSame(
            ['bottle', 'Crew oxygen bottle BO144 runs low'],
            [$rows['QA-VFE']['stop']['kind'], $rows['QA-VFE']['stop']['title']],
            'its trend meets its minimum',
        );
        $days = array_map(
            static fn(array $r): int => $r['stop']['days'],
            array_values(array_filter($fleet['rows'], static fn(array $r): bool => $r['state'] !== 'waiting')),
        );
        $sorted = $days;
        sort($sorted);
        self::assertSame($sorted, $days, 'who stops first comes first');
    }

    public function test_an_aircraft_shows_both_schools_and_what_is_planned(): void
    {
        $items = array_column($this->as('mika', 'GET', 'fleet/QA-VFA')->json('items'), null, 'code');
        self::assertSame('keeps the plan: late work gains nothing', $items['05-90']['rebase']);
        self::assertSame('counts from when it was done', $items['12-31']['rebase']);
        self::assertSame(['Block check', 'waiting'], [$items['05-90']['visit'], $items['05-90']['state']]);
        self::assertNull($items['12-31']['visit']);
        self::assertSame(
            ['trend', ''],
            [$items['trend']['code'], $items['trend']['card']],
            'its bottle\'s trend stands among them',
        );
        foreach (array_diff_key($items, ['trend' => 0]) as $item) {
            self::assertCount(
                1,
                array_filter($item['limits'], static fn(array $l): bool => $l['drives']),
                $item['code'],
            );
        }
        $this->as('mika', 'GET', 'fleet/QZ-XYZ')->assertNotFound();
    }

    public function test_a_counter_that_passes_its_limit_stops_the_aircraft(): void
    {
        $aircraft = Aircraft::where('mark', 'QA-VFC')->firstOrFail();
        $aircraft->update(
            ['counters' => ['fh' => $aircraft->counters['fh'] + 60, 'ldg' => $aircraft->counters['ldg']]],
        );
        $view = $this->as('mika', 'GET', 'fleet/QA-VFC')->json();
        self::assertStringStartsWith('QA-VFC must not fly: its limit passed on', $view['sentence']);
        self::assertSame(['stop', 'in_tolerance'], [$view['items'][0]['state'], $view['items'][0]['status']]);
        $aircraft->update(
            ['counters' => ['fh' => $aircraft->counters['fh'] + 20, 'ldg' => $aircraft->counters['ldg']]],
        );
        self::assertSame('overdue', $this->as('mika', 'GET', 'fleet/QA-VFC')->json('items.0.status'));
    }
}
