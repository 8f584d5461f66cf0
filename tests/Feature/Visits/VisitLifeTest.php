<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Floor\Model\Card;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** A visit is cancelled, renamed, moved, split and merged until it is begun; afterwards by decision, with a trace. */
final class VisitLifeTest extends WorldCase
{
    private const PHASE = 3;

    private const BLOCK = 1;

    /**
     * @param array<string, mixed> $with
     *
     * @return TestResponse<Response>
     */
    private function does(string $what, array $with, int $visit = self::PHASE): TestResponse
    {
        return $this->as('ines', 'POST', "visits/{$visit}/{$what}", $with);
    }

    /** @return list<int> cards of items, of one visit */
    private static function items(int $visit): array
    {
        return array_values(Card::where('visit_id', $visit)->whereNotNull('item_id')->where('of_set', false)
            ->orderBy('id')->pluck('id')->all());
    }

    private static function trace(string $what): object
    {
        $row = DB::table('records')->where('what', $what)->orderByDesc('id')->first();
        self::assertNotNull($row, $what);

        return json_decode((string) $row->data);
    }

    public function test_a_cancelled_visit_gives_its_items_and_its_bay_back(): void
    {
        $phase = Visit::findOrFail(self::PHASE);
        $bay = ['mark' => 'QA-VFC', 'title' => 'x', 'bay' => $phase->bay, 'start' => (string) $phase->start,
            'end' => (string) $phase->end];
        $item = (string) Card::whereIn('id', self::items(self::PHASE))->whereNull('component_id')->value('item_id');
        $open = fn(string $mark): array => array_map(
            static fn(array $n): array => [...$n, 'key' => explode('|', $n['id'])[1]],
            array_values(array_filter(
                $this->as('ines', 'GET', 'season?days=90')->json('open'),
                static fn(array $n): bool => $n['mark'] === $mark && ! str_ends_with($n['title'], ', again'),
            )),
        );
        $lacks = static fn(): array => array_column($open('QA-VFB'), 'key');
        self::assertNotContains($item, $lacks());
        $this->does('cancel', ['reason' => ''])->assertStatus(422);
        $this->as('oda', 'POST', 'visits/3/cancel', ['reason' => 'no'])->assertForbidden();
        $left = $this->does('cancel', ['reason' => 'the freight contract was lost'])->assertOk()->json('visits');
        self::assertNotContains(self::PHASE, array_column($left, 'id'));
        self::assertSame(0, Card::where('visit_id', self::PHASE)->count());
        self::assertContains($item, $lacks());
        $trace = self::trace('visit.cancelled');
        self::assertSame(['the freight contract was lost', 'Phase check'], [$trace->why, $trace->title]);
        self::assertNotSame([], $trace->items);
        $this->as('ines', 'GET', 'visits/3')->assertNotFound();
        $this->does('cancel', ['reason' => 'again'])->assertNotFound();
        $could = array_values(array_filter(
            $open('QA-VFC'),
            static fn(array $i): bool => $i['latest'] > (string) $phase->end,
        ))[0];
        $this->as('ines', 'POST', 'visits', [...$bay, 'items' => [$could['key']]])->assertCreated();
    }

    public function test_a_visit_that_is_begun_is_not_cancelled(): void
    {
        $said = (string) $this->does('cancel', ['reason' => 'x'], self::BLOCK)->assertStatus(422)->json('message');
        self::assertStringContainsString('stays on the record', $said);
        self::assertGreaterThan(90, Card::where('visit_id', self::BLOCK)->count());
    }

    /** @return iterable<string, array{int, array<string, string>, string}> visit, what is changed, why not */
    public static function wrong(): iterable
    {
        yield 'too late for what is in it' => [
            self::PHASE, ['start' => '2026-07-20', 'end' => '2026-07-24'], 'too late',
        ];
        yield 'into a bay that is taken' => [
            self::PHASE, ['bay' => 'Skarnholm bay 1', 'start' => '2026-05-12', 'end' => '2026-05-13'],
            'QA-VFA stands in',
        ];
        yield 'backwards' => [self::PHASE, ['end' => '2026-05-20'], 'before it begins'];
        yield 'nowhere' => [self::PHASE, ['bay' => 'bay 9'], 'There is no bay'];
        yield 'not at all' => [self::PHASE, [], 'Nothing is changed'];
        yield 'begun, without a reason' => [self::BLOCK, ['end' => '2026-05-20'], 'say why'];
        yield 'begun, its first day' => [self::BLOCK, ['start' => '2026-05-01'], 'that day stands'];
    }

    /** @param array<string, string> $to */
    #[DataProvider('wrong')]
    public function test_a_change_that_cannot_be_is_refused(int $id, array $to, string $why): void
    {
        $visit = Visit::findOrFail($id);
        $is = ['title' => $visit->title, 'bay' => $visit->bay, 'start' => (string) $visit->start,
            'end' => (string) $visit->end];
        $said = (string) $this->does('edit', [...$is, ...$to], $id)->assertStatus(422)->json('message');
        self::assertStringContainsString($why, $said);
        $now = $visit->refresh();
        self::assertSame($is, ['title' => $now->title, 'bay' => $now->bay, 'start' => (string) $now->start,
            'end' => (string) $now->end]);
    }

    public function test_a_visit_is_renamed_and_moved_and_planned_for_its_new_days(): void
    {
        $to = [
            'title' => 'Phase check, early', 'bay' => 'Skarnholm bay 3', 'start' => '2026-05-19', 'end' => '2026-05-22',
        ];
        $visit = $this->does('edit', $to)->assertOk()->json();
        self::assertSame(array_values($to), [$visit['title'], $visit['bay'], $visit['start'], $visit['end']]);
        self::assertSame(0, Card::where('visit_id', self::PHASE)->where('planned_start', '<', '2026-05-18T22:00:00Z')
            ->count());
        self::assertSame('2026-05-21', self::trace('visit.changed')->was->start);
        // Under another name, and a day longer, it is planned as it was.
        $card = Card::where('visit_id', self::PHASE)->orderByDesc('planned_end')->firstOrFail();
        $card->update(['planned_start' => '2026-05-21T06:00:00Z', 'planned_end' => '2026-05-21T14:00:00Z']);
        $this->does('edit', [...$to, 'title' => 'Phase check', 'end' => '2026-05-23'])->assertOk();
        self::assertSame('2026-05-21T06:00:00Z', (string) $card->refresh()->planned_start);
        // One that goes on stays longer by decision, and everybody who asks knows.
        $block = Visit::findOrFail(self::BLOCK);
        $more = ['title' => $block->title, 'bay' => $block->bay, 'start' => (string) $block->start,
            'end' => '2026-05-18', 'reason' => 'the crack takes longer'];
        $this->does('edit', $more, self::BLOCK)->assertOk();
        self::assertSame('the crack takes longer', self::trace('visit.changed')->why);
        $row = array_column($this->as('ines', 'GET', 'as-of?day=2026-05-17')->json('rows'), null, 'mark')['QA-VFA'];
        self::assertSame('waiting', $row['state']);
    }

    public function test_items_go_out_and_come_in_with_the_panels_that_they_want(): void
    {
        [$one] = self::items(self::PHASE);
        $frame = Card::where('visit_id', self::PHASE)->where('makes', 'induct')->first();
        if ($frame !== null) {
            $said = (string) $this->does('take-out', ['cards' => [$frame->id]])->assertStatus(422)->json('message');
            self::assertStringContainsString('there for the others', $said);
        }
        $card = Card::findOrFail($one);
        $this->does('take-out', ['cards' => [$one, 999_999]])->assertStatus(422);
        $this->does('take-out', ['cards' => [$one]])->assertOk();
        self::assertNull(Card::find($one));
        self::assertSame(
            0,
            Card::where(['visit_id' => self::PHASE, 'item_id' => $card->item_id])->count(),
            'with its set',
        );
        $wanted = Card::where('visit_id', self::PHASE)->whereNull('makes')->pluck('panels')->flatten()->unique();
        foreach (Card::where('visit_id', self::PHASE)->where('makes', 'like', 'open:%')->get() as $open) {
            self::assertContains(substr((string) $open->makes, 5), $wanted->all());
        }
        $more = array_column($this->as('ines', 'GET', 'visits/3/more')->json('items'), null, 'key');
        $key = (string) $card->item_id.($card->component_id === null ? '' : ":{$card->component_id}");
        self::assertArrayHasKey($key, $more);
        $visit = $this->does('items', ['items' => [$key]])->assertCreated()->json();
        self::assertContains($card->title, array_column($visit['cards'], 'title'));
        self::assertSame(
            Card::where('visit_id', self::PHASE)->count(),
            Card::where('visit_id', self::PHASE)->distinct()->count('number'),
        );
        // In one that goes on: by decision alone, and nothing that is begun.
        $sets = Card::where('visit_id', self::BLOCK)->where('of_set', true)->select('item_id');
        $open = Card::where('visit_id', self::BLOCK)->where('state', 'open')->whereNotNull('item_id')
            ->whereNotIn('item_id', $sets)->firstOrFail();
        $begun = Card::where('visit_id', self::BLOCK)->where('state', 'closed')->whereNotNull('item_id')->firstOrFail();
        $this->does('take-out', ['cards' => [$open->id]], self::BLOCK)->assertStatus(422);
        $why = ['reason' => 'goes to the phase check'];
        $this->does('take-out', ['cards' => [$begun->id], ...$why], self::BLOCK)->assertStatus(422);
        $this->does('take-out', ['cards' => [$open->id], ...$why], self::BLOCK)->assertOk();
        self::assertSame('goes to the phase check', self::trace('visit.taken_out')->why);
    }

    public function test_a_visit_is_split_and_merged_again(): void
    {
        $all = Card::where('visit_id', 4)->whereNotNull('item_id')->pluck('item_id')->sort()->values()->all();
        [$first] = self::items(4);
        $new = $this->does('split', [
            'cards' => [$first], 'title' => 'First of it', 'bay' => 'Skarnholm bay 2', 'start' => '2026-06-02',
            'end' => '2026-06-03',
        ], 4)->assertCreated()->json();
        self::assertSame('First of it', $new['title']);
        self::assertSame($new['id'], (int) Card::findOrFail($first)->visit_id);
        self::assertStringStartsWith(sprintf('%03d-', $new['id']), Card::findOrFail($first)->number);
        self::assertSame(0, Card::whereIn('visit_id', [4, $new['id']])->whereNull('planned_start')->count());
        self::assertContains($new['id'], array_column($this->as('ines', 'GET', 'visits/4/more')->json('visits'), 'id'));
        $this->does('merge', ['into' => self::PHASE], (int) $new['id'])->assertStatus(422);
        $this->does('merge', ['into' => 4], (int) $new['id'])->assertOk();
        self::assertSame($all, Card::where('visit_id', 4)->whereNotNull('item_id')->pluck('item_id')->sort()->values()
            ->all());
        $this->as('ines', 'GET', "visits/{$new['id']}")->assertNotFound();
        self::assertStringContainsString('merged into', self::trace('visit.cancelled')->why);
    }
}
