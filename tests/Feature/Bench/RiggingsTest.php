<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Shared\Csv;
use Tests\Feature\WorldCase;

/** Riggings of the past: listed, replayed, on paper and in files. */
final class RiggingsTest extends WorldCase
{
    public function test_those_to_do_come_first_and_each_past_one_is_as_it_was(): void
    {
        $room = $this->as('ines', 'GET', 'bench/riggings')->assertOk()->json();
        self::assertSame('1 rigging to do or in hand.', $room['sentence']);
        self::assertSame(['waiting', 'clear', 'clear', 'clear', 'clear'], array_column($room['rows'], 'look'));
        $row = collect((array) $room['rows'])->firstOrFail(static fn(array $r): bool => $r['rounds'] === 3);
        $is = $this->as('oda', 'GET', "bench/riggings/{$row['id']}")->assertOk()->json();
        self::assertSame('Governor arm and lever angles on QA-VFD: within after 3 runs.', $is['sentence']);
        self::assertSame(['turn', 'turn', 'within'], array_column($is['runs'], 'verdict'));
        self::assertStringContainsString('1 other of the fleet showed', $is['runs'][0]['story']);
        // What was foretold for a round is what it then read, within what was said to be sure.
        foreach ($is['runs'] as $i => $run) {
            foreach ($i === 0 ? [] : $is['runs'][$i - 1]['points'] as $n => $before) {
                self::assertLessThan(1.5 * $before['sure'], abs($run['points'][$n]['read'] - $before['next']));
            }
        }
        // What turning does here, beside the book and the fleet.
        $learned = array_column($is['learned'], null, 'point');
        self::assertSame(['Reset rod', 0.5], [
            $learned['Arm at the feather stop']['adjuster'], $learned['Arm at the feather stop']['book'],
        ]);
        self::assertMatchesRegularExpression('/^0\.\d+ on 1 other$/', $learned['Arm at the feather stop']['fleet']);
        self::assertStringContainsString('flight hours since', $is['since']);
        // The one before it on the other aircraft began from the book, the one after from what that one showed.
        $of = fn(string $date): array => $this->as('ines', 'GET', 'bench/riggings/'.collect((array) $room['rows'])
            ->firstOrFail(static fn(array $r): bool => $r['mark'] === 'QA-VFB' && $r['date'] === $date)['id'])->json();
        self::assertStringContainsString('from the book', $of('2025-09-16')['runs'][0]['story']);
        self::assertStringContainsString(
            'what QA-VFB showed when it was rigged on Tue 16 Sep 2025, 2 runs',
            $of('2026-02-18')['runs'][0]['story'],
        );
        self::assertCount(1, $of('2026-02-18')['others']);
        // A pair on both sides: apart as it was found, alike as it was left.
        $twin = collect((array) $room['rows'])->firstOrFail(static fn(array $r): bool
            => $r['title'] === 'Governor arms and separation' && $r['look'] === 'clear');
        [$pair] = $this->as('ines', 'GET', "bench/riggings/{$twin['id']}")->json('sides');
        self::assertSame([0.6, [false, true]], [$pair['within'], array_column($pair['readings'], 'good')]);
        self::assertEqualsWithDelta(-3.5, $pair['readings'][0]['apart'], 1e-6);
        self::assertStringEndsWith('Dec 2025, found', $pair['readings'][0]['when']);
    }

    public function test_it_is_had_as_a_sheet_and_in_open_files(): void
    {
        $id = collect((array) $this->as('ines', 'GET', 'bench/riggings')->json('rows'))
            ->firstOrFail(static fn(array $r): bool => $r['rounds'] === 3)['id'];
        $csv = Csv::read(
            (string) $this->as('ines', 'GET', "bench/riggings/{$id}/rigging.csv")->assertOk()->getContent(),
        );
        self::assertSame(['round', 'ground run', 'read at', 'what', 'name', 'value'], array_slice($csv[0], 0, 6));
        self::assertSame(['reading' => 6, 'turned, cw counts up' => 2, 'turned, lengthen counts up' => 2], array_filter(
            array_count_values(array_column($csv, 3)),
            static fn(string $what): bool => $what === 'reading' || str_starts_with($what, 'turned'),
            ARRAY_FILTER_USE_KEY,
        ));
        $json = $this->as('ines', 'GET', "bench/riggings/{$id}/rigging.json")->assertOk()->json();
        self::assertSame('QA-VFD', $json['aircraft']);
        self::assertEquals(['screw' => -1.75, 'rod' => -2.0], $json['rounds'][0]['turned']);
        $pdf = (string) $this->as('ines', 'GET', "bench/riggings/{$id}/rigging.pdf")->assertOk()->getContent();
        self::assertStringStartsWith('%PDF-', $pdf);
        self::assertSame(1, preg_match_all('#/Type /Page\b#', $pdf), 'one sheet');
        $this->as('ines', 'GET', 'bench/riggings/1')->assertNotFound();
        // One that has not been begun is a sheet too.
        $new = collect((array) $this->as('ines', 'GET', 'bench/riggings')->json('rows'))->firstWhere('look', 'waiting');
        self::assertStringContainsString(
            'not begun',
            $this->as('ines', 'GET', "bench/riggings/{$new['id']}")->assertOk()->json('sentence'),
        );
        $this->as('ines', 'GET', "bench/riggings/{$new['id']}/rigging.pdf")->assertOk();
    }
}
