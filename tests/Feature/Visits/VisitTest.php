<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Crew\Model\Qualification;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ItemDoing;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Library\Do\ProgrammeFile;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Visits\Do\RemakeCard;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Tests\Feature\WorldCase;

/** Making visits, and putting people on their cards. */
final class VisitTest extends WorldCase
{
    /** @param list<string> $codes */
    private function make(string $mark, array $codes, string $start = '2026-05-05', string $end = '2026-05-06'): Visit
    {
        $aircraft = Aircraft::where('mark', $mark)->firstOrFail();
        $items = ProgrammeItem::where('type_id', $aircraft->type_id)->whereIn('code', $codes)->pluck('id')->all();
        $id = $this->as('ines', 'POST', 'visits', [
            'mark' => $mark, 'title' => 'Work', 'bay' => 'line', 'start' => $start, 'end' => $end, 'items' => $items,
        ])->assertCreated()->json('id');

        return Visit::with(['cards.steps', 'cards.template'])->findOrFail($id);
    }

    public function test_a_visit_gets_one_card_an_item_with_all_its_steps(): void
    {
        $visit = $this->make('QA-VFC', ['61-21', '29-14', '32-42']);
        self::assertSame(
            ['Hydraulic accumulator pre-charge', 'Brake wear, balance and leak check', 'Propeller governor check'],
            $visit->cards->pluck('title')->all(),
        );
        foreach ($visit->cards as $card) {
            $template = $card->template;
            self::assertSame(array_column($template->expanded(), 'title'), $card->steps->pluck('title')->all());
            self::assertSame(range(1, count($template->expanded())), $card->steps->pluck('no')->all());
            self::assertSame([Card::OPEN, $template->revision, $template->independent_inspection], [
                $card->state, $card->revision, $card->independent_inspection,
            ]);
        }
        self::assertCount(3, $visit->cards->pluck('number')->unique());
    }

    public function test_a_check_that_is_a_set_has_a_card_for_each_place_and_is_done_when_its_own_closes_them(): void
    {
        $visit = $this->make('QA-VFC', ['05-21', '29-14'], '2026-05-05', '2026-05-09');
        $own = $visit->cards->firstOrFail(static fn(Card $c): bool => $c->title === 'Phase check');
        $set = $visit->cards->where('of_set', true);
        self::assertSame(
            [
                'Nose and flight deck (Phase check)', 'Fuselage, left side (Phase check)',
                'Fuselage, right side (Phase check)', 'Main gear, both legs (Phase check)',
                'Engine 1 and its propeller (Phase check)', 'Engine 2 and its propeller (Phase check)',
                'Wing, left (Phase check)', 'Wing, right (Phase check)',
            ],
            $set->pluck('title')->values()->all(),
        );
        self::assertSame(['engine 1', 'engine 2'], array_values(
            $set->where('skill', 'engine')->pluck('zone')->all(),
        ));
        self::assertSame([14.0, [$own->item_id]], [
            (float) $set->sum('hours') + $own->hours, $set->pluck('item_id')->unique()->values()->all(),
        ]);
        $item = array_column($this->as('mika', 'GET', 'fleet/QA-VFC')->json('items'), null, 'code')['05-21'];
        self::assertEquals([14, 'SKV-05-21 and 8 more'], [$item['hours'], $item['card']]);
        self::assertSame($set->modelKeys(), $own->waitsFor()->orderBy('cards.id')->pluck('cards.id')->all());
        $this->assign($own, 'oda')->assertOk();
        self::assertStringStartsWith(
            'waits for ',
            (string) $this->as('oda', 'GET', "cards/{$own->id}")->json('held'),
            'the last of its set',
        );
        // One more place in the programme: who has the cards already is named, and can have it added.
        $text = (string) json_encode(['type' => 'SKV', 'items' => [[
            ...ProgrammeFile::row($own->item()->with('template', 'set')->firstOrFail()),
            'cards' => [...$set->pluck('template.code'), 'SKV-05-90-G'],
        ]]]);
        $look = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'programme', 'name' => 'a set', 'text' => $text,
        ]);
        self::assertSame([
            '"Phase check" of QA-VFB has its cards already and not SKV-05-90-G. Add it there, or the check is done '
                .'without it.',
            '"Work" of QA-VFC has its cards already and not SKV-05-90-G. Add it there, or the check is done without '
                .'it.',
        ], array_column($look->assertOk()->json('asked'), 'message'));
        $this->as('ines', 'POST', "library/imports/{$look->json('id')}/apply", ['sure' => true])->assertOk();
        $nose = CardTemplate::where('code', 'SKV-05-90-G')->value('id');
        $this->as('ines', 'POST', "visits/{$visit->id}/cards", ['template' => $nose])->assertCreated();
        $added = Card::where(['visit_id' => $visit->id, 'template_id' => $nose])->firstOrFail();
        self::assertSame([true, 'Nose gear bay (Phase check)'], [$added->of_set, $added->title]);
        self::assertContains($added->id, $own->waitsFor()->pluck('cards.id')->all());
        // A card of the set made anew from a newer text stays one of it.
        app(RemakeCard::class)($set->firstOrFail(), $set->firstOrFail()->template);
        self::assertSame('Nose and flight deck (Phase check)', $set->firstOrFail()->refresh()->title);
        self::assertTrue($set->firstOrFail()->of_set);

        Card::where('visit_id', $visit->id)->update(['state' => Card::CLOSED]);
        Step::whereIn('card_id', $visit->cards()->select('id'))->update(['state' => Step::DONE]);
        $this->as('tor', 'POST', "release/{$visit->id}", ['stamp' => 'X02', 'pin' => '5520'])->assertOk();
        self::assertSame(
            [$own->id],
            ItemDoing::where(['visit_id' => $visit->id, 'item_id' => $own->item_id])->pluck('card_id')->all(),
            'done once, by its own card',
        );
    }

    public function test_an_item_stands_in_one_open_visit_only(): void
    {
        $visit = $this->make('QA-VFC', ['61-21']);
        $item = $visit->cards->firstOrFail()->item_id;
        $again = [
            'mark' => 'QA-VFC', 'title' => 'x', 'bay' => 'line', 'start' => '2026-05-09', 'end' => '2026-05-10',
            'items' => [$item],
        ];
        $this->as('ines', 'POST', 'visits', $again)->assertStatus(422)
            ->assertJsonPath('message', '61-21 Propeller governor check is already in "Work". Nothing was saved.');
        $visit->update(['state' => Visit::RELEASED]);
        $this->as('ines', 'POST', 'visits', $again)->assertCreated();
    }

    public function test_what_belongs_to_another_type_or_nothing_is_refused_whole(): void
    {
        $count = static fn(): array => array_map(static fn(string $table): int => DB::table($table)->count(), [
            'visits', 'cards', 'steps', 'records',
        ]);
        $before = $count();
        $foreign = ProgrammeItem::where('code', '78-31')->value('id');
        $own = ProgrammeItem::where('code', '61-21')->value('id');
        $body = ['mark' => 'QA-VFC', 'title' => 'x', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06'];
        $this->as('ines', 'POST', 'visits', [...$body, 'items' => [$own, $foreign]])->assertStatus(422);
        $this->as('ines', 'POST', 'visits', [...$body, 'items' => []])->assertStatus(422);
        $this->as('ines', 'POST', 'visits', [...$body, 'items' => [$own], 'start' => 'soon'])->assertStatus(422)
            ->assertJsonValidationErrors('start');
        $this->as('ines', 'POST', 'visits', [...$body, 'items' => [$own], 'mark' => 'QZ-NO'])->assertNotFound();
        self::assertSame($before, $count());
    }

    public function test_forecasts_stand_still_while_the_aircraft_is_in_its_visit(): void
    {
        $due = fn(): array => array_column($this->as('ines', 'GET', 'fleet/QA-VFC')->json('items'), 'date', 'code');
        $before = $due();
        $this->make('QA-VFC', ['29-14'], '2026-05-05', '2026-05-14');
        $after = $due();
        self::assertSame('2026-05-10', $before['61-21']);
        // The counters are as at the end of 3 May: one day flies, ten stand still, the rest flies.
        self::assertSame('2026-05-20', $after['61-21']);
        self::assertSame($before['12-31'], $after['12-31'], 'the calendar does not stand still');
    }

    public function test_why_somebody_cannot_take_a_card(): void
    {
        $card = $this->make('QA-VFC', ['61-21'])->cards->firstOrFail();
        $reasons = array_column(
            $this->as('ines', 'GET', "cards/{$card->id}/candidates?role=perform")->json(),
            'why',
            'stamp',
        );
        self::assertNull($reasons['T27']);
        self::assertSame('has no SKV rating', $reasons['T33']);
        self::assertSame('needs a valid engine skill: it has lapsed', $reasons['T19']);
        self::assertSame('has no engine skill', $reasons['T22']);
        self::assertSame('is a trainee: put the supervisor, Stig Omdal, on the card first', $reasons['T38']);
        self::assertArrayNotHasKey('V01', $reasons, 'a viewer works no cards');
        $inspectors = array_column(
            $this->as('ines', 'GET', "cards/{$card->id}/candidates?role=duplicate")->json(),
            'why',
            'stamp',
        );
        self::assertSame([null, null], [$inspectors['I04'], $inspectors['X02']]);
        self::assertSame('has no authority to inspect independently', $inspectors['T27']);
        $this->as('ines', 'GET', "cards/{$card->id}/candidates?role=watch")->assertStatus(422);
    }

    public function test_what_lapses_before_the_visit_begins_counts_as_lapsed(): void
    {
        Qualification::where(
            ['person_id' => $this->person('oda')->id, 'value' => 'SKV'],
        )->update(['valid_until' => '2026-05-08']);
        $now = $this->make('QA-VFC', ['61-21'])->cards->firstOrFail();
        $later = $this->make('QA-VFE', ['35-11'], '2026-05-11', '2026-05-12')->cards->firstOrFail();
        $assign = fn(Card $card) => $this->assign($card, 'oda');
        $assign($now)->assertOk();
        $assign($later)->assertStatus(422)
            ->assertJsonPath('message', 'Oda Fenn needs a valid SKV rating: it has lapsed. Nobody was assigned.');
    }

    public function test_who_leaves_before_the_day_is_not_put_on_a_card(): void
    {
        $card = $this->make('QA-VFC', ['61-21'])->cards->firstOrFail();
        $card->update(['planned_start' => '2026-05-06T08:00:00Z', 'planned_end' => '2026-05-06T10:00:00Z']);
        $oda = $this->person('oda');
        $assign = fn()
            => $this->assign($card, 'oda');
        foreach (['2026-05-04', '2026-05-05'] as $last) {
            $oda->update(['leaves' => $last]);
            self::assertStringContainsString('leaves on', $assign()->assertStatus(422)->json('message'), $last);
        }
        $oda->update(['leaves' => '2026-05-06']);
        $assign()->assertOk();
    }

    public function test_who_had_a_hand_in_it_and_took_it_back_does_not_inspect_it(): void
    {
        $card = $this->make('QA-VFC', ['61-21'])->cards->firstOrFail();
        $runa = $this->person('runa')->id;
        $assign = fn()
            => $this->as('ines', 'POST', "cards/{$card->id}/assignments", ['person' => $runa, 'role' => 'duplicate']);
        $assign()->assertOk();
        DB::table('assignments')->where('card_id', $card->id)->delete();
        DB::table('card_hands')->insert(
            ['card_id' => $card->id, 'person_id' => $runa, 'since' => '2026-05-05T10:00:00Z'],
        );
        self::assertStringContainsString('would not be independent', $assign()->assertStatus(422)->json('message'));
        self::assertSame(0, DB::table('assignments')->where('card_id', $card->id)->count());
    }

    public function test_nobody_is_both_worker_and_inspector(): void
    {
        $card = $this->make('QA-VFC', ['61-21'])->cards->firstOrFail();
        $runa = $this->person('runa')->id;
        $assign = fn(string $role, bool $remove = false) => $this->as('ines', 'POST', "cards/{$card->id}/assignments", [
            'person' => $runa, 'role' => $role, 'remove' => $remove,
        ]);
        $assign('perform')->assertOk();
        self::assertStringContainsString(
            'would not be independent',
            $assign('duplicate')->assertStatus(422)->json('message'),
        );
        $assign('perform', true)->assertOk();
        $assign('duplicate')->assertOk();
        self::assertStringContainsString(
            'would not be independent',
            $assign('perform')->assertStatus(422)->json('message'),
        );
        $assign('duplicate', true)->assertOk();
        $assign('perform')->assertOk();
        $this->as('runa', 'POST', "cards/{$card->id}/steps/1", ['version' => $card->refresh()->version, 'do' => 'done'])
            ->assertOk();
        $assign('perform', true)->assertStatus(422)
            ->assertJsonPath('message', 'This person has already worked steps of the card and stays on it.');
    }

    public function test_assigning_twice_is_once(): void
    {
        $card = $this->make('QA-VFC', ['61-21'])->cards->firstOrFail();
        $body = ['person' => $this->person('oda')->id, 'role' => 'perform'];
        $this->as('ines', 'POST', "cards/{$card->id}/assignments", $body)->assertOk();
        $this->as('ines', 'POST', "cards/{$card->id}/assignments", $body)->assertOk();
        self::assertSame(1, $card->assignments()->count());
        $this->as('ines', 'POST', "cards/{$card->id}/assignments", [...$body, 'person' => 9999])->assertStatus(422);
        $this->as('ines', 'POST', "cards/{$card->id}/assignments", [...$body, 'role' => 'certify'])->assertStatus(422);
    }

    public function test_the_floor_shows_mine_first_and_what_waits_for_an_inspection(): void
    {
        $card = $this->make('QA-VFC', ['61-21'])->cards->firstOrFail();
        $this->assign($card, 'oda')->assertOk();
        $floor = $this->as('oda', 'GET', 'floor')->json();
        self::assertSame([true, true, true, true, false], array_slice(array_column($floor['cards'], 'mine'), 0, 5));
        self::assertStringStartsWith(
            'Your next card: 001-01',
            $floor['sentence'],
            'the one in work before the one not begun',
        );
        Step::where('card_id', $card->id)->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        $this->as('oda', 'POST', "cards/{$card->id}/sign", [
            'version' => $card->refresh()->version, 'stamp' => 'T27', 'pin' => '2741',
        ])->assertOk();
        self::assertStringStartsWith(
            "For you to inspect: {$card->number} on QA-VFC",
            $this->as('runa', 'GET', 'floor')->json('sentence'),
        );
        self::assertContains('inspect', $this->as('runa', 'GET', "cards/{$card->id}")->json('may'));
        self::assertNotContains('inspect', $this->as('oda', 'GET', "cards/{$card->id}")->json('may'));
    }

    public function test_a_visit_too_late_for_an_item_is_refused(): void
    {
        $item = ProgrammeItem::where('code', '61-21')->firstOrFail();
        $make = fn(string $start, string $end) => $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'x', 'bay' => 'line', 'start' => $start, 'end' => $end,
            'items' => [$item->id],
        ])->assertStatus(422)->json('message');
        self::assertStringContainsString(
            'must be done by Wed 13 May; a visit from Wed 20 May is too late',
            $make('2026-05-20', '2026-05-21'),
        );
        self::assertStringContainsString('before it begins', $make('2026-05-07', '2026-05-06'));
        self::assertStringContainsString('which is past', $make('0001-01-01', '2026-05-04'));
        self::assertStringContainsString('further off than anybody plans', $make('2026-05-07', '9999-12-31'));
        $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFA', 'title' => 'x', 'bay' => 'line', 'start' => '2026-05-10', 'end' => '2026-05-11',
            'items' => [$item->id],
        ])->assertStatus(422)->assertJsonFragment(
            ['message' => 'QA-VFA is already in "Block check" from Wed 29 Apr to Thu 14 May. Choose other '
                    .'dates; nothing was saved.'],
        );
    }
}
