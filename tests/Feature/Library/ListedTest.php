<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Model\ListedRevision;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** What may be carried, as a file in and out, by revisions. */
final class ListedTest extends WorldCase
{
    /** @return TestResponse<Response> */
    private function look(string $text, string $kind = 'listed'): TestResponse
    {
        return $this->as('ines', 'POST', 'library/imports', ['kind' => $kind, 'name' => 'list', 'text' => $text]);
    }

    private function file(string $type, string $form): string
    {
        return (string) $this->as('mika', 'GET', "library/listed/{$type}/file.{$form}")->assertOk()->getContent();
    }

    /** @return iterable<string, array{string}> */
    public static function types(): iterable
    {
        foreach (['SKV', 'OLN', 'TRK', 'VSK'] as $type) {
            yield $type => [$type];
        }
    }

    #[DataProvider('types')]
    public function test_the_demos_list_is_whole_and_comes_back_as_it_went_out(string $type): void
    {
        $room = $this->as('mika', 'GET', "library/listed/{$type}")->assertOk()->json();
        self::assertGreaterThanOrEqual(40, count($room['items']));
        $data = json_decode($this->file($type, 'json'));
        $data->revision++;
        self::assertStringContainsString('changes nothing', $this->look((string) json_encode($data))->assertOk()
            ->json('sentence'));
        $csv = str_replace("{$type},{$room['revision']},", "{$type},{$data->revision},", $this->file($type, 'csv'));
        $seen = $this->look($csv, 'listed-csv');
        self::assertSame(200, $seen->status(), (string) json_encode($seen->json()));
        self::assertStringContainsString('changes nothing', $seen->json('sentence'));
    }

    /** @return iterable<string, array{string, mixed, string, string}> field of the first item, value, place, message */
    public static function faults(): iterable
    {
        yield 'unknown category' => ['category', 'E', '78-L1, category', ''];
        yield 'more required than installed' => ['required', 2, '78-L1, required', 'leaves none'];
        yield 'a card that there is not' => ['safe', 'OLN-00-X', '78-L1, safe', 'no card template'];
        yield 'a test that there is not' => ['closes', ['OLN-78-31', 'X'], '78-L1, closes.1', 'no card template'];
        yield 'a system that nothing is of' => ['needs', ['wings'], '78-L1, needs.0', 'no item of the list'];
        yield 'its own system' => ['needs', ['reversers'], '78-L1, needs', 'its own system'];
        yield 'a counter that there is not' => ['limits', ['beats' => 3], '78-L1, limits.beats', 'no counter'];
        yield 'neither a max nor a min' => ['restrict', ['altitude_ft' => 3], '78-L1, restrict.altitude_ft',
            'max_ or min_'];
        yield 'a field that it has not' => ['colour', 'red', '78-L1, colour', ''];
        yield 'more at once than to spare' => ['carry', 2, '78-L1, carry', ''];
    }

    #[DataProvider('faults')]
    public function test_what_is_wrong_is_named_by_its_place_and_nothing_is_changed(
        string $field,
        mixed $value,
        string $place,
        string $says,
    ): void {
        $data = json_decode($this->file('OLN', 'json'), true);
        $data['revision']++;
        $at = array_search('78-L1', array_column($data['items'], 'code'), true);
        $data['items'][$at][$field] = $value;
        $lines = $this->look((string) json_encode($data))->assertStatus(422)->json('lines');
        self::assertSame([$place], array_column($lines, 'line'));
        self::assertStringContainsString($says, $lines[0]['message']);
    }

    public function test_the_head_is_asked_for_too(): void
    {
        $lines = $this->look('{"type":"OLN","revision":4,"issued":"soon","summary":"","items":[{"code":"78-L1"}]}')
            ->assertStatus(422)->json('lines');
        self::assertSame(['revision', 'issued', 'summary'], array_slice(array_column($lines, 'line'), 0, 3));
        $this->look("type,code\nOLN,78-L1", 'listed-csv')->assertStatus(422);
        $this->look('{"type":"OLN","revision":9,"issued":"2026-05-05","summary":"x","items":[]}')->assertStatus(422);
    }

    public function test_a_revision_is_seen_first_and_what_is_carried_goes_on_as_it_was_deferred(): void
    {
        $data = json_decode($this->file('OLN', 'json'), true);
        $item = array_column($data['items'], null, 'code')['78-L1'];
        $text = (string) json_encode([
            'type' => 'OLN', 'revision' => 5, 'issued' => '2026-05-05', 'summary' => 'Reversers',
            'items' => [[...$item, 'category' => 'B', 'placard' => 'REV 2 LOCKED']],
        ]);
        $view = $this->look($text)->assertOk()->json();
        self::assertEqualsCanonicalizing(['category', 'placard'], array_column($view['changes'], 'what'));
        self::assertStringContainsString('F0001 on QC-TAB is carried under version 1', $view['asked'][0]['message']);
        self::assertContains('32-L2 Antiskid, one channel', $view['left']);
        $apply = fn(bool $sure): TestResponse
            => $this->as('ines', 'POST', "library/imports/{$view['id']}/apply", ['sure' => $sure]);
        $apply(false)->assertStatus(422);
        self::assertSame(4, (int) ListedRevision::whereRelation('type', 'code', 'OLN')->max('revision'));
        $apply(true)->assertOk();
        $of = ListedItem::where('code', '78-L1')->whereRelation('type', 'code', 'OLN')->orderBy('version')->get();
        self::assertSame([[1, 'superseded', 'C'], [2, 'in_force', 'B']], $of->map(
            static fn(ListedItem $i): array => [$i->version, $i->state, $i->category],
        )->all());
        $deferral = Deferral::whereRelation('finding', 'number', 'F0001')->firstOrFail();
        self::assertSame(['C', $of[0]->id], [$deferral->category, $deferral->listed_item_id]);
        $row = array_column($this->as('ines', 'GET', 'deferrals')->json('deferrals'), null, 'finding')['F0001'];
        self::assertSame(['2026-05-11', 'REVERSER 2 INOP'], [$row['date'], $row['placard']]);
        $apply(true)->assertStatus(422);
        $this->as('mika', 'POST', 'library/imports', ['kind' => 'listed', 'name' => 'x', 'text' => $text])
            ->assertForbidden();
    }

    public function test_what_is_withdrawn_carries_nothing_more(): void
    {
        $data = json_decode($this->file('OLN', 'json'), true);
        $item = array_column($data['items'], null, 'code')['33-L3'];
        $view = $this->look((string) json_encode([
            'type' => 'OLN', 'revision' => 5, 'issued' => '2026-05-05', 'summary' => 'no more',
            'items' => [[...$item, 'withdrawn' => true]],
        ]))->assertOk()->json();
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply", ['sure' => true])->assertOk();
        self::assertNotContains(
            '33-L3',
            array_column($this->as('ines', 'GET', 'library/listed/OLN')->json('items'), 'code'),
        );
    }
}
