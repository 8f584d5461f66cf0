<?php

declare(strict_types=1);

namespace Tests\Feature\Stores;

use App\Floor\Model\Card;
use App\Stores\Do\Goods;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use App\Stores\Model\Recheck;
use App\Stores\Model\ToolLoan;
use App\Stores\Model\ToolRecall;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\WorldCase;

/** Tools checked, lent and recalled; parts in the store. */
final class StoresTest extends WorldCase
{
    public function test_a_recall_reaches_every_reading_since_the_last_good_check_and_opens_the_re_checks_at_once(): void
    {
        $room = $this->as('ines', 'GET', 'tools/CT-03')->assertOk()->json();
        self::assertSame(['2026-05-04', '2026-01-12', 4, 2], [
            $room['recall']['foundOn'], $room['recall']['lastGood'], $room['recall']['readings'],
            $room['recall']['toOpen'],
        ]);
        self::assertSame(
            ['QA-VFE', 'QA-VFF'],
            array_column($room['recall']['aircraft'], 'mark'),
            'the one read before the last good check is not in doubt',
        );
        $id = $room['recall']['id'];
        // Where and when is asked of each aircraft; nothing is opened of the one while nobody says it of the other.
        foreach ([
            [[], 'Say where and when the re-checks of QA-VFE are made. Nothing was opened.'],
            [[['mark' => 'QA-VFE', 'visit' => null, 'start' => '2026-05-04', 'end' => '2026-05-04']], 'which is past'],
            [
                [['mark' => 'QA-VFE', 'visit' => 1]],
                'The visit of QA-VFE is released or cancelled by now, or for washes only.',
            ],
            [[['mark' => 'QA-VFE', 'visit' => null, 'start' => '2026-05-08', 'end' => '2026-05-08']], 'of QA-VFF are'],
        ] as [$places, $why]) {
            self::assertStringContainsString($why, (string) $this->as('tor', 'POST', "recalls/{$id}/rechecks", [
                'places' => $places,
            ])->assertStatus($places === [] || ! isset($places[0]['visit']) ? 422 : 409)->json('message'));
        }
        $stands = Visit::create([
            'aircraft_id' => DB::table('aircraft')->where('mark', 'QA-VFE')->value('id'), 'title' => 'Work',
            'bay' => Visit::LINE, 'start' => '2026-05-09', 'end' => '2026-05-12', 'state' => Visit::PLANNED,
        ]);
        self::assertStringContainsString(
            'QA-VFE is already in "Work"',
            (string) $this->as('tor', 'POST', "recalls/{$id}/rechecks", ['places' => [
                ['mark' => 'QA-VFE', 'visit' => null, 'start' => '2026-05-08', 'end' => '2026-05-09'],
            ]])->assertStatus(422)->json('message'),
        );
        $stands->delete();
        self::assertSame(0, Recheck::count());
        $places = [
            ['mark' => 'QA-VFE', 'visit' => null, 'start' => '2026-05-08', 'end' => '2026-05-09'],
            ['mark' => 'QA-VFF', 'visit' => null, 'start' => '2026-05-05', 'end' => '2026-05-05'],
        ];
        $after = $this->as('tor', 'POST', "recalls/{$id}/rechecks", ['places' => $places])->assertOk()->json('recall');
        self::assertSame([0, 'waiting'], [$after['toOpen'], $after['aircraft'][0]['cards'][0]['state']]);
        $this->as('tor', 'POST', "recalls/{$id}/rechecks", ['places' => []])->assertOk();
        self::assertSame(2, Recheck::count(), 'opened once');
        $card = Card::with(['steps', 'visit'])->findOrFail($after['aircraft'][0]['cards'][0]['byCardId']);
        self::assertSame(['Re-check after CT-03: Elevator cable tension and travel', true], [
            $card->title, $card->independent_inspection,
        ]);
        self::assertSame(['caution', 'measurement', 'measurement'], $card->steps->pluck('kind')->all());
        self::assertSame(
            ['elevator cable, left', 'tensiometer', ['kind' => 'range', 'unit' => 'lbf', 'min' => 54, 'max' => 66]],
            array_values(
                array_intersect_key($card->steps[1]->spec['reading'], array_flip(['point', 'tool_kind', 'limit'])),
            ),
        );
        self::assertSame(
            [Visit::PLANNED, 'Re-check after CT-03', '2026-05-08', '2026-05-09'],
            [$card->visit->state, $card->visit->title, (string) $card->visit->start, (string) $card->visit->end],
            'in service: a visit of its own',
        );
    }

    public function test_what_was_worked_with_a_recalled_tool_without_a_reading_is_in_doubt_too(): void
    {
        $before = $this->as('ines', 'GET', 'tools/CT-03')->json('recall');
        $card = Card::with('steps')->whereHas('visit', static fn($q) => $q->where('state', Visit::RELEASED))
            ->whereNotIn('id', DB::table('readings')->select('card_id'))->firstOrFail();
        $use = ['tool_id' => DB::table('tools')->where('code', 'CT-03')->value('id'), 'card_id' => $card->id,
            'step_id' => $card->steps[0]->id, 'person_id' => $this->person('oda')->id];
        // The last good check was on 12 January: what was done before it is not in doubt.
        DB::table('tool_uses')->insert([...$use, 'at' => '2026-01-11T12:00:00Z']);
        self::assertSame($before['toOpen'], $this->as('ines', 'GET', 'tools/CT-03')->json('recall.toOpen'));
        DB::table('tool_uses')->insert([...$use, 'at' => '2026-04-11T12:00:00Z']);
        $after = $this->as('ines', 'GET', 'tools/CT-03')->json('recall');
        self::assertSame([$before['uses'] + 1, $before['toOpen'] + 1], [$after['uses'], $after['toOpen']]);
        self::assertContains($card->number, array_column(
            array_merge(...array_column($after['aircraft'], 'cards')),
            'number',
        ));
    }

    public function test_release_waits_for_the_re_check(): void
    {
        $visit = Visit::where('title', 'Block check')->firstOrFail();
        $card = $visit->cards()->with('steps')->where('title', 'Elevator cable tension and travel')->firstOrFail();
        $card->update(['state' => Card::CLOSED]);
        DB::table('steps')->where('card_id', $card->id)->update(['state' => 'done']);
        $step = $card->steps->firstOrFail(
            static fn($s): bool => ($s->spec['reading']['point'] ?? '') === 'elevator cable, left',
        );
        $tool = DB::table('tools')->where('code', 'CT-04')->value('id');
        DB::table('readings')->insert([
            'step_id' => $step->id, 'card_id' => $card->id, 'tool_id' => $tool, 'person_id' => 2,
            'point' => 'elevator cable, left', 'kind' => 'reading', 'value' => 60, 'unit' => 'lbf',
            'verdict' => 'pass', 'reasons' => '[]', 'at' => '2026-05-05T08:00:00Z',
        ]);
        $codes = fn(): array => array_count_values(array_merge(...array_column(
            $this->as('tor', 'GET', "release/{$visit->id}")->json('blockers'),
            'codes',
        )));
        self::assertArrayNotHasKey('recheck_open', $codes());
        $open = $codes()['card_open'];
        $this->as('tor', 'POST', 'tools/CT-04/checks', ['date' => '2026-05-05', 'good' => false, 'note' => 'dropped'])
            ->assertOk();
        $recall = ToolRecall::where('tool_id', $tool)->firstOrFail();
        self::assertSame('2025-12-05', $recall->last_good);
        self::assertSame(
            [1, $open],
            [$codes()['recheck_open'], $codes()['card_open']],
            'also before anybody opened a re-check',
        );
        $blocker = array_values(array_filter(
            $this->as('tor', 'GET', "release/{$visit->id}")->json('blockers'),
            static fn(array $b): bool => in_array('recheck_open', $b['codes'], true),
        ))[0];
        self::assertSame(['/stores/tools/CT-04', true], [
            $blocker['link'], str_contains($blocker['title'], 'read with CT-04, which is recalled'),
        ]);
        $this->open($recall);
        self::assertSame([1, $open + 1], [$codes()['recheck_open'], $codes()['card_open']]);
        $by = Recheck::where('card_id', $card->id)->firstOrFail()->byCard;
        self::assertSame($visit->id, $by->visit_id, 'in the visit the aircraft is in');
        foreach ([Card::IN_WORK, Card::SIGNED] as $state) {
            $by->update(['state' => $state]);
            self::assertSame(1, $codes()['recheck_open'] ?? 0, "a re-check that is {$state->value} is none yet");
        }
        $by->update(['state' => Card::CLOSED]);
        self::assertArrayNotHasKey('recheck_open', $codes());
        self::assertSame('clear', $this->as('tor', 'GET', 'tools/CT-04')->json('recall.aircraft.0.cards.0.state'));
    }

    public function test_the_day_of_a_good_check_itself_is_good_in_the_operator_s_zone(): void
    {
        $recall = ToolRecall::firstOrFail();
        $count = function (string $at) use ($recall): int {
            DB::table('readings')->where('tool_id', $recall->tool_id)->update(['at' => $at]);

            return $this->as('ines', 'GET', 'tools/CT-03')->json('recall.readings');
        };
        self::assertSame(0, $count('2026-01-12T22:59:59Z'), 'a minute before midnight in winter');
        self::assertSame(6, $count('2026-01-12T23:00:00Z'));
        $recall->update(['last_good' => null, 'doubt_from' => '']);
        self::assertSame(6, $count('2020-01-01T00:00:00Z'), 'never known to be good: everything');
        DB::table('readings')->where('tool_id', $recall->tool_id)->update(['stands' => false]);
        self::assertSame(
            0,
            $this->as('ines', 'GET', 'tools/CT-03')->json('recall.readings'),
            'what was read again since does not rest on it',
        );
    }

    public function test_checks(): void
    {
        $check = fn(array $body)
            => $this->as('tor', 'POST', 'tools/TW-104/checks', ['good' => true, 'note' => 'n', ...$body]);
        $check(['date' => '2026-05-06', 'cal_due' => '2027-05-06'])->assertStatus(422)->assertJsonFragment(
            ['message' => 'Wed 6 May is yet to come. Enter the day on which TW-104 was checked.'],
        );
        $check(['date' => '2026-05-05'])->assertStatus(422);
        $check(['date' => '2026-05-05', 'cal_due' => '2026-05-05'])->assertStatus(422);
        self::assertSame('stop', $this->as('tor', 'GET', 'tools/TW-104')->json('tool.state'));
        $check(['date' => '2026-05-05', 'cal_due' => '2027-05-04'])->assertOk()->assertJsonPath('tool.state', 'clear');
    }

    public function test_a_tool_is_on_one_card_at_a_time_and_is_counted_in(): void
    {
        $flaps = Card::where('title', 'Flap travel timing')->where('state', Card::IN_WORK)->firstOrFail();
        $take = fn(array $body) => $this->as('stig', 'POST', "cards/{$flaps->id}/loans", $body);
        self::assertStringContainsString(
            'PG-28 is out on card',
            $take(['tool' => 'PG-28'])->assertStatus(422)->json('message'),
        );
        $take(['tool' => 'PG-31'])->assertStatus(422);
        $take(['tool' => 'nothing'])->assertStatus(422);
        $take(['what' => 'rags'])->assertStatus(422);
        $take(['tool' => 'FG-11'])->assertOk()->assertJsonPath('loans.0.what', 'FG-11 Feeler gauges');
        $take(['tool' => 'FG-11'])->assertOk()->assertJsonCount(1, 'loans');
        $take(['what' => 'caps', 'quantity' => 4])->assertOk()->assertJsonCount(2, 'loans');
        $caps = ToolLoan::where('what', 'caps')->firstOrFail();
        self::assertStringContainsString(
            '4 of caps went out, 3 came back',
            $this->as('ines', 'POST', "loans/{$caps->id}/in", ['counted' => 3])->assertStatus(422)->json('message'),
        );
        $this->as('ines', 'POST', "loans/{$caps->id}/in", ['counted' => 4])->assertOk();
        $this->as('ines', 'POST', "loans/{$caps->id}/in", ['counted' => 4])->assertStatus(422);
    }

    public function test_the_store_says_what_is_short_reserved_and_running_out(): void
    {
        $parts = array_column($this->as('mika', 'GET', 'stores')->json('parts'), null, 'number');
        self::assertSame(['stop', '1 piece short, none ordered'], [
            $parts['JV-0512-20']['state'], $parts['JV-0512-20']['said'],
        ]);
        self::assertSame('stop', $parts['JV-2914-02']['state'], 'a batch past its shelf life');
        self::assertSame('shelf life ran out on Thu 30 Apr', $parts['JV-2914-02']['batches'][0]['why']);
        self::assertSame('watch', $parts['JV-3511-03']['state'], 'a batch that runs out in two weeks');
        self::assertStringContainsString('QA-VFA', implode(' ', $parts['JV-2914-02']['reservedBy']));
    }

    public function test_each_view_of_the_store_opens_with_what_it_is_looked_at_for(): void
    {
        $room = fn(): array => $this->as('mika', 'GET', 'stores')->json();
        self::assertStringStartsWith('CT-03 is recalled: see what rests on it.', $room()['sentence']);
        self::assertSame(
            'JV-0512-20 Filter set, 12-month check: 1 piece short, none ordered. 3 parts in all need a look.',
            $room()['partsSentence'],
        );
        self::assertSame(
            '3 things are out. No aircraft is released with anything out on its cards.',
            $room()['outSentence'],
        );
        // An order that is too small does not help; one that is large enough does.
        $part = Part::where('number', 'JV-0512-20')->firstOrFail();
        DB::table('card_parts')->where('part_id', $part->id)->update(['quantity' => 3]);
        $part->orders()->create(['quantity' => 2, 'expected' => '2026-05-20']);
        self::assertStringContainsString('3 pieces short, and too few ordered', $room()['partsSentence']);
        $part->orders()->update(['quantity' => 3]);
        self::assertStringStartsWith(
            'JV-2914-02 Accumulator valve seal: batch B2914-A is past its shelf life.',
            $room()['partsSentence'],
        );
        DB::table('part_batches')->whereIn('batch', ['B2914-A', 'G40-B'])->update(['quantity' => 0]);
        self::assertSame(
            'Every reserved part is here or on its way, and no shelf life is over.',
            $room()['partsSentence'],
        );
        ToolLoan::query()->update(['in_at' => '2026-05-05T12:30:00Z']);
        DB::table('tools')->update(['state' => 'in', 'cal_due' => '2027-01-01']);
        self::assertSame(['Everything is in: no tool, no rag is out.', 'Every tool may be used.'], [
            $room()['outSentence'], $room()['sentence'],
        ]);
    }

    public function test_goods_come_in_by_their_order_and_end_a_shortage(): void
    {
        $part = fn(): array => $this->as('mika', 'GET', 'parts/JV-3242-11')->assertOk()->json();
        self::assertSame('JV-3242-11 Brake packing: 2 pieces short until the order comes.', $part()['sentence']);
        $order = $part()['orders'][0]['id'];
        $take = fn(array $body) => $this->as('ines', 'POST', 'parts/JV-3242-11/goods', [
            'batch' => 'B3242-B', 'quantity' => 3, 'expires' => '2028-01-31', 'paper' => 'delivery note 4300', ...$body,
        ]);
        $take(['order' => $order])->assertOk()->assertJsonPath('orders.0.quantity', 5)->assertJsonPath('part.stock', 5);
        self::assertSame('JV-3242-11 Brake packing: enough for what is reserved.', $part()['sentence']);
        $take(['order' => $order, 'quantity' => 6])->assertOk()->assertJsonPath('orders', [])
            ->assertJsonPath('part.stock', 11);
        self::assertSame(
            [[6, 9, 'delivery note 4300'], [3, 3, 'delivery note 4300'], [2, 2, 'delivery note 4100']],
            array_map(static fn(array $m): array => [$m['quantity'], $m['left'], $m['paper']], $part()['moves']),
        );
        $why = static fn(TestResponse $r): string => (string) $r->assertStatus(422)->json('message');
        self::assertStringContainsString('ran out on Mon 4 May', $why($take(['expires' => '2026-05-04'])));
        self::assertStringContainsString('with a shelf life until Mon 31 Jan 2028', $why($take(['expires' => null])));
        self::assertStringContainsString('Batch B2914-A is JV-2914-02', $why($take(['batch' => 'B2914-A'])));
        $take(['quantity' => 0])->assertStatus(422);
        $take(['paper' => ''])->assertStatus(422);
        self::assertSame(11, $part()['part']['stock'], 'nothing was taken in by what was refused');
    }

    public function test_every_piece_of_a_batch_is_accounted_for(): void
    {
        $batch = PartBatch::firstWhere('batch', 'B2914-B');
        $move = fn(string $do, int $quantity, string $why = 'why') => $this->as(
            'ines',
            'POST',
            "part-batches/{$batch->id}/moves",
            ['do' => $do, 'quantity' => $quantity, 'why' => $why],
        );
        $said = static fn(TestResponse $r): string => (string) $r->assertStatus(422)->json('message');
        self::assertStringContainsString('Nothing of batch B2914-B left the store', $said($move('back', 1)));
        app(Goods::class)->take($this->person('oda'), $batch, 2, 'card 001-01, step 3');
        self::assertStringContainsString('Only 2 of batch B2914-B', $said($move('back', 3)));
        $move('back', 1, 'one too many was taken')->assertOk()->assertJsonPath('batches.1.quantity', 3)
            ->assertJsonPath('batches.1.taken', 1);
        self::assertStringContainsString('holds 3', $said($move('scrapped', 4)));
        $move('scrapped', 1, 'dropped')->assertOk()->assertJsonPath('batches.1.quantity', 2);
        self::assertStringContainsString('holds 2 already', $said($move('counted', 2)));
        self::assertStringContainsString('how many pieces', $said($move('scrapped', 0)));
        $move('counted', 0, 'none on the shelf')->assertOk()->assertJsonPath('batches.1.why', 'none left');
        $sums = DB::table('part_moves')->selectRaw('batch_id, sum(quantity) as n')->groupBy('batch_id')
            ->pluck('n', 'batch_id')->all();
        foreach (PartBatch::all() as $b) {
            self::assertSame($b->quantity, (int) $sums[$b->id], "what moved of {$b->batch} is what lies there");
        }
        $this->expectExceptionMessage('a move of the store stands');
        DB::table('part_moves')->where('batch_id', $batch->id)->update(['quantity' => 1]);
    }

    public function test_part_numbers_and_orders(): void
    {
        $new = [
            'number' => 'JV-7777-01', 'title' => 'Test seal', 'place' => 'shelf 3', 'one_time' => true,
            'effectivity' => ['K1'],
        ];
        $this->as('ines', 'POST', 'parts', $new)->assertOk()
            ->assertJsonPath('sentence', 'JV-7777-01 Test seal: enough for what is reserved.');
        $said = fn(string $path, array $body): string
            => (string) $this->as('ines', 'POST', $path, $body)->assertStatus(422)->json('message');
        self::assertStringContainsString('is in the store already', $said('parts', $new));
        self::assertStringContainsString(
            'No aircraft has the effectivity ZZ',
            $said('parts', [...$new, 'number' => 'JV-7777-02', 'effectivity' => ['K1', 'ZZ']]),
        );
        self::assertStringContainsString('capital letters', $said('parts', [...$new, 'number' => 'jv 1']));
        $this->as('ines', 'POST', 'parts/JV-7777-01', [...$new, 'title' => 'Seal', 'effectivity' => null])->assertOk()
            ->assertJsonPath('part.title', 'Seal')->assertJsonPath('part.effectivity', null);
        self::assertStringContainsString(
            'is past',
            $said('parts/JV-0512-20/orders', ['quantity' => 2, 'expected' => '2026-05-04']),
        );
        $ordered = $this->as('ines', 'POST', 'parts/JV-0512-20/orders', ['quantity' => 2, 'expected' => '2026-05-09'])
            ->assertOk();
        self::assertSame('JV-0512-20', $ordered->json('part.number'));
        self::assertStringContainsString('until the order comes', $ordered->json('sentence'));
        self::assertStringContainsString(
            'none ordered',
            $this->as('ines', 'POST', "part-orders/{$ordered->json('orders.0.id')}/cancel")->assertOk()
                ->json('sentence'),
        );
    }

    public function test_an_earlier_visit_s_reading_that_came_into_doubt_blocks_the_aircraft_s_release(): void
    {
        $recall = ToolRecall::firstOrFail();
        $released = Visit::findOrFail(DB::table('readings')->join(
            'cards',
            'cards.id',
            '=',
            'readings.card_id',
        )->where('tool_id', $recall->tool_id)->where('readings.at', '>', '2026-02-01')->value('visit_id'));
        $visit = Visit::create([
            'aircraft_id' => $released->aircraft_id, 'title' => 'wash', 'bay' => 'line', 'start' => '2026-05-05',
            'end' => '2026-05-06', 'state' => Visit::PLANNED,
        ]);
        $links = fn(): array => array_column(
            array_filter(
                $this->as('tor', 'GET', "release/{$visit->id}")->json('blockers'),
                static fn(array $b): bool => $b['code'] === 'recheck_open',
            ),
            'link',
        );
        self::assertSame(['/stores/tools/CT-03'], $links());
        // The tool comes back good: what it read before is in doubt all the same.
        $this->as('tor', 'POST', 'tools/CT-03/checks', [
            'date' => '2026-05-05', 'good' => true, 'note' => 'spring changed', 'cal_due' => '2027-05-05',
        ])->assertOk()->assertJsonPath('tool.state', 'clear');
        self::assertStringStartsWith(
            'CT-03 is back, and what it read before is still in doubt: 4 readings',
            $this->as('tor', 'GET', 'tools/CT-03')->json('sentence'),
        );
        self::assertSame(['/stores/tools/CT-03'], $links());
        $this->open($recall);
        self::assertSame([], $links(), 'the re-check itself, in this visit, holds it now');
        Card::whereIn('id', Recheck::pluck('by_card_id'))->update(['state' => Card::CLOSED]);
        self::assertStringContainsString(
            'CT-03 calibration runs out',
            $this->as('tor', 'GET', 'tools/CT-03')->json('sentence'),
        );
    }

    public function test_a_good_check_entered_late_narrows_the_doubt_and_does_not_bring_the_tool_back(): void
    {
        $readings = fn(): int => $this->as('tor', 'GET', 'tools/CT-03')->json('recall.readings');
        self::assertSame(4, $readings());
        $check = fn(string $date) => $this->as('tor', 'POST', 'tools/CT-03/checks', [
            'date' => $date, 'good' => true, 'note' => 'found in the folder', 'cal_due' => '2027-01-01',
        ])->assertOk();
        $check('2025-11-01')->assertJsonPath('tool.state', 'stop');
        self::assertSame(4, $readings(), 'an older one than is known changes nothing');
        $check('2026-03-01')->assertJsonPath('tool.state', 'stop')->assertJsonPath('recall.lastGood', '2026-03-01');
        self::assertLessThan(4, $readings());
        self::assertSame(1, DB::table('records')->where('what', 'recall.narrowed')->count());
    }

    public function test_a_tool_is_entered_goes_away_and_goes_out_of_use(): void
    {
        $new = [
            'code' => 'DG-90', 'title' => 'Dial gauge', 'kind' => 'Dial gauge', 'unit' => 'mm', 'resolution' => 0.01,
            'uncertainty' => 0.005, 'low' => 0, 'high' => 10, 'place' => 'shelf 2', 'checked' => '2026-05-01',
            'cal_due' => '2027-05-01', 'paper' => 'certificate 311',
        ];
        $enter = fn(array $with = []) => $this->as('ines', 'POST', 'tools', [...$new, ...$with]);
        $said = static fn(TestResponse $r): string => (string) $r->assertStatus(422)->json('message');
        foreach ([
            ['unit' => 'furlong', 'Its'], ['checked' => '2026-05-06', 'lies today or before'],
            ['cal_due' => '2026-05-01', 'lies today or before'], ['code' => 'CT-03', 'in the store already'],
            ['code' => 'dg 90', 'capital letters'], ['high' => 0, 'up to more'],
        ] as $wrong) {
            $why = (string) array_pop($wrong);
            self::assertStringContainsString($why, $said($enter($wrong)));
        }
        $enter()->assertOk()->assertJsonPath('tool.kind', 'dial gauge')
            ->assertJsonPath('checks.0.note', 'certificate 311');
        $to = fn(string $code, string $do)
            => $this->as('ines', 'POST', "tools/{$code}/state", ['do' => $do, 'why' => 'standards room']);
        self::assertStringContainsString('PG-28 is out on card', $said($to('PG-28', 'away')));
        $to('DG-90', 'away')->assertOk()->assertJsonPath('sentence', 'DG-90 is away for calibration.');
        self::assertStringContainsString('is away already', $said($to('DG-90', 'away')));
        $this->as('ines', 'POST', 'tools/DG-90/checks', [
            'date' => '2026-05-05', 'good' => true, 'note' => 'back', 'cal_due' => '2027-05-05',
        ])->assertOk()->assertJsonPath('away', false);
        $to('DG-90', 'gone')->assertOk()->assertJsonPath('inUse', false);
        self::assertNotContains('DG-90', array_column($this->as('mika', 'GET', 'stores')->json('tools'), 'code'));
        self::assertStringContainsString(
            'is out of use',
            $said($this->as('ines', 'POST', 'tools/DG-90/checks', [
                'date' => '2026-05-05', 'good' => true, 'note' => 'back', 'cal_due' => '2027-05-05',
            ])),
        );
    }

    /** The re-checks of a recall, each in the first visit of its aircraft, else in one of its own today. */
    private function open(ToolRecall $recall): void
    {
        $aircraft = $this->as('tor', 'GET', "tools/{$recall->tool->code}")->json('recall.aircraft');
        $places = array_map(static fn(array $a): array => [
            'mark' => $a['mark'], 'visit' => $a['visits'][0]['id'] ?? null, 'start' => '2026-05-05',
            'end' => '2026-05-07',
        ], $aircraft);
        $this->as('tor', 'POST', "recalls/{$recall->id}/rechecks", ['places' => $places])->assertOk();
    }
}
