<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Crew\Model\Qualification;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Library\Model\ProgrammeItem;
use App\Shared\Csv;
use App\Shared\Records;
use App\Stores\Model\Part;
use App\Visits\Do\PlanJob;
use App\Visits\Do\PlanRuns;
use App\Visits\Model\PlanRun;
use App\Visits\Model\PlanRunState;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitPlan;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\Fleet\FleetTest;
use Tests\Feature\WorldCase;

/** The board of a visit, what a move does, long searches, windows, progress; packing and bays. */
final class BoardTest extends WorldCase
{
    /** @return array<string, mixed> */
    private function board(int $visit = 1): array
    {
        return $this->as('ines', 'GET', "visits/{$visit}/board")->assertOk()->json();
    }

    /**
     * @param array<string, mixed> $board
     *
     * @return array<int, array<string, mixed>> by card id
     */
    private static function cards(array $board): array
    {
        return array_column(array_merge(...array_column($board['zones'], 'cards')), null, 'id');
    }

    /** @return TestResponse<Response> */
    private function move(int $card, ?float $slot, int $version, bool $keep): TestResponse
    {
        return $this->as('ines', 'POST', $this->block('/board/move'), [
            'card' => $card, 'slot' => $slot, 'version' => $version, 'save' => $keep,
        ]);
    }

    /** @return array<string, mixed> an open card that nothing but the exit depends on */
    private function openCard(): array
    {
        $open = array_filter(
            self::cards($this->board()),
            static fn(array $c): bool => $c['state'] === 'open' && str_starts_with($c['title'], 'Fix'),
        );
        usort($open, static fn(array $a, array $b): int => $a['from'] <=> $b['from']);

        return $open[0];
    }

    /** What the planner promises holds on what it wrote: waits, configuration, people and the bay, on real hours. */
    public function test_the_demo_plan_can_be_worked(): void
    {
        $cards = Card::with('waitsFor')->where('visit_id', 1)->whereIn('state', [Card::OPEN, Card::IN_WORK])->get();
        self::assertGreaterThan(40, $cards->count());
        $ends = $cards->pluck('planned_end', 'id');
        foreach ($cards as $card) {
            self::assertLessThan($card->planned_end, $card->planned_start, $card->number);
            self::assertLessThanOrEqual($card->latest_start, $card->planned_start);
            foreach ($card->waitsFor as $before) {
                self::assertLessThanOrEqual(
                    $card->planned_start,
                    $ends[$before->id] ?? '',
                    "{$card->number} after {$before->number}",
                );
            }
            foreach ($cards as $other) {
                $clash = array_filter(
                    array_intersect_key($card->configuration ?? [], $other->configuration ?? []),
                    static fn(string $v, string $k): bool => $other->configuration[$k] !== $v,
                    ARRAY_FILTER_USE_BOTH,
                );
                self::assertTrue(
                    $clash === [] || $card->planned_end <= $other->planned_start
                        || $other->planned_end <= $card->planned_start,
                    "{$card->number} beside {$other->number}",
                );
            }
        }
        foreach ($cards->pluck('planned_start') as $at) {
            $people = $cards->filter(static fn(Card $c): bool => $c->planned_start <= $at && $at < $c->planned_end)
                ->sum(static fn(Card $c): int => array_sum($c->needs ?? []));
            self::assertLessThanOrEqual(4, $people, "the bay holds four, at {$at}");
            $local = (new \DateTimeImmutable((string) $at))->setTimezone(new \DateTimeZone('Europe/Oslo'));
            self::assertTrue(
                $local->format('H') >= 6 && $local->format('H') < 22 && $local->format('N') <= 6,
                "{$at} is a working hour",
            );
        }
        $lift = $cards->firstOrFail('makes', 'lower');
        self::assertGreaterThanOrEqual(
            $cards->filter(static fn(Card $c): bool => ($c->configuration['jacks'] ?? null) === 'on')
                ->max('planned_end'),
            $lift->planned_start,
        );
    }

    public function test_a_visit_makes_its_own_cards_once(): void
    {
        $cards = Card::where('visit_id', 1)->get();
        foreach (['induct', 'safe', 'raise', 'lower', 'last'] as $once) {
            self::assertCount(1, $cards->where('makes', $once), $once);
        }
        $open = $cards->where('state', '!=', Card::CLOSED);
        foreach ($open->pluck('panels')->flatten()->unique() as $panel) {
            self::assertCount(1, $open->where('makes', "close:{$panel}"), "{$panel} is closed once");
        }
        $small = $this->as('ines', 'GET', $this->visitCalled('Phase check'))->json('cards');
        self::assertSame(
            array_fill(0, 10, 'look'),
            array_column($small, 'stage'),
            'a day\'s work, in nine cards and the brakes, needs no induction',
        );
        $reserved = DB::table('card_parts')->join('parts', 'parts.id', '=', 'part_id')
            ->where('card_id', $small[9]['id'])->pluck('quantity', 'number')->all();
        self::assertSame(['JV-3242-11' => 4], $reserved);
        self::assertSame(
            ['2 × JV-3242-11 Brake packing: not'],
            array_map(static fn(string $s): string => substr($s, 0, 34), $this->short(3, 'Brake', 2)),
        );
    }

    /** @return list<string> */
    private function short(int $visit, string $title, int $inStock): array
    {
        $part = Part::where('number', 'JV-3242-11')->firstOrFail();
        $part->orders()->delete();
        $part->batches()->update(['quantity' => $inStock]);

        return array_merge(...array_column(
            array_filter(
                $this->as('ines', 'GET', "visits/{$visit}")->json('cards'),
                static fn(array $c): bool => str_starts_with($c['title'], $title),
            ),
            'short',
        ));
    }

    public function test_a_move_is_shown_first_and_saves_nothing(): void
    {
        $board = $this->board();
        $card = $this->openCard();
        $rows = DB::table('cards')->orderBy('id')->get(['planned_start', 'not_before', 'first'])->toJson();
        $shown = $this->move($card['id'], $card['from'] + 40, $board['version'], false)->assertOk()->json();
        self::assertSame($card['id'], $shown['moved'][0]['id'], 'the moved card comes first');
        self::assertGreaterThanOrEqual($card['from'] + 39, self::cards($shown)[$card['id']]['from']);
        self::assertStringStartsWith('The exit ', $shown['effect']);
        self::assertSame(
            $rows,
            DB::table('cards')->orderBy('id')->get(['planned_start', 'not_before', 'first'])->toJson(),
        );
        $now = ['now' => 0];
        self::assertSame(
            [...$board, ...$now],
            [...$this->board(), ...$now],
            'but for the time of day nothing is another',
        );
    }

    public function test_a_kept_move_stands_and_can_be_let_go(): void
    {
        $board = $this->board();
        $card = $this->openCard();
        $slot = ceil($card['from']) + 40;
        $kept = $this->move($card['id'], $slot, $board['version'], true)->assertOk()->json();
        self::assertSame($board['version'] + 1, $kept['version']);
        $after = $this->board();
        self::assertSame(
            array_column(self::cards($kept), 'from', 'id'),
            array_column(self::cards($after), 'from', 'id'),
            'what was shown is what stands',
        );
        self::assertStringStartsWith('not before ', self::cards($after)[$card['id']]['pinned']);
        self::assertSame(1, DB::table('records')->where('what', 'card.moved')->count());
        $this->move($card['id'], $slot, $board['version'], true)->assertStatus(409)
            ->assertJsonPath('current', $after['version']);
        $free = $this->move($card['id'], null, $after['version'], true)->assertOk()->json();
        self::assertNull(self::cards($free)[$card['id']]['pinned']);
        $sooner = $this->move($card['id'], max(0.0, $card['from'] - 20), $free['version'], true)->assertOk()->json();
        self::assertSame('put before others by the controller', self::cards($sooner)[$card['id']]['pinned']);
        self::assertTrue(app(Records::class)->verify()['broken'] === null);
    }

    public function test_what_is_worked_or_elsewhere_cannot_be_moved(): void
    {
        $version = $this->board()['version'];
        $closed = Card::where(['visit_id' => 1, 'state' => Card::CLOSED])->firstOrFail();
        $work = Card::where(['visit_id' => 1, 'state' => Card::IN_WORK])->firstOrFail();
        $this->move($closed->id, 300, $version, false)->assertStatus(422)
            ->assertJsonPath('message', "Card {$closed->number} is worked; it cannot be moved any more.");
        $this->move($work->id, 300, $version, false)->assertStatus(422);
        $this->move(Card::where('visit_id', 3)->firstOrFail()->id, 300, $version, false)->assertStatus(422)
            ->assertJsonPath('message', 'This card is not of this visit.');
        $this->as(
            'ines',
            'POST',
            $this->block('/board/move'),
            ['card' => $work->id, 'version' => $version, 'save' => false],
        )
            ->assertStatus(422)->assertJsonValidationErrors('slot');
    }

    public function test_a_slip_costs_more_the_longer_it_is(): void
    {
        foreach (self::cards($this->board()) as $card) {
            if ($card['state'] === 'open' && $card['onChain']) {
                $rows = $this->as('oda', 'GET', "visits/1/cards/{$card['id']}/slip")->assertOk()->json();
                self::assertSame([2, 4, 8, 16], array_column($rows, 'hours'));
                $later = array_column($rows, 'later');
                self::assertGreaterThan(0, $later[3], "{$card['number']} decides the exit");
                $sorted = $later;
                sort($sorted);
                self::assertSame($sorted, $later);

                return;
            }
        }
        self::fail('no card decides the exit');
    }

    public function test_what_nobody_can_work_is_named_with_what_to_do(): void
    {
        Qualification::where(['kind' => 'skill', 'value' => 'avionics'])->delete();
        $aircraft = DB::table('aircraft')->where('mark', 'QA-VFC')->value('type_id');
        $item = ProgrammeItem::where(['type_id' => $aircraft, 'code' => '23-11'])->value('id');
        $made = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'x', 'bay' => 'Skarnholm bay 2', 'start' => '2026-05-05',
            'end' => '2026-05-06', 'items' => [(string) $item],
        ])->assertCreated()->json();
        $board = $this->board($made['id']);
        self::assertSame('stop', $board['verdict']);
        self::assertStringContainsString(
            "Card {$made['cards'][0]['number']} Voice recorder test needs 1 with the avionics skill; nobody with "
                .'that and a SKV rating is at work in Skarnholm. Ask for people',
            $board['problem'],
        );
        $this->as('ines', 'POST', "visits/{$made['id']}/plan", ['seconds' => 1, 'version' => $board['version']])
            ->assertStatus(422)->assertJsonPath('message', $board['problem']);
        self::assertSame(0, PlanRun::count());
    }

    public function test_a_search_runs_in_the_queue_and_saves_only_what_is_shorter(): void
    {
        $board = $this->board();
        $this->as('ines', 'POST', $this->block('/plan'), [
            'seconds' => 1, 'version' => $board['version'] - 1,
        ])->assertStatus(409);
        $this->as('ines', 'POST', $this->block('/plan'), ['seconds' => 1, 'version' => $board['version']])
            ->assertStatus(202)
            ->assertJsonPath('words', 'Waiting for the planner.');
        $this->as('ines', 'POST', $this->block('/plan'), ['seconds' => 1, 'version' => $board['version']])
            ->assertStatus(422)
            ->assertJsonPath(
                'message',
                'A search for this visit is already under way. Wait for it, or cancel it first.',
            );
        Artisan::call('queue:work', ['--stop-when-empty' => true]);
        $run = $this->as('ines', 'GET', $this->block('/plan'))->assertOk()->json();
        self::assertSame(['done', true], [$run['state'], $run['ended']], $run['words']);
        $after = $this->board();
        $better = $after['exit']['at'] < $board['exit']['at'];
        self::assertSame($better ? $board['version'] + 1 : $board['version'], $after['version']);
        self::assertStringStartsWith($better ? 'A shorter plan was found' : 'No shorter plan was found', $run['words']);
        self::assertLessThanOrEqual($board['exit']['at'], $after['exit']['at']);
        self::assertSame(0, DB::table('jobs')->count());
    }

    public function test_work_that_has_slipped_is_planned_anew_though_it_leaves_later(): void
    {
        $card = Card::where(['visit_id' => 1, 'state' => Card::OPEN])->orderBy('planned_start')->firstOrFail();
        Card::whereKey($card->id)->update(
            ['planned_start' => '2026-05-05T08:00:00Z', 'planned_end' => '2026-05-05T09:00:00Z'],
        );
        // A plan that promised too much.
        VisitPlan::whereKey(1)->update(['result' => json_encode(['exit' => '2026-05-08T10:00:00Z'])]);
        $board = $this->board();
        self::assertStringEndsWith(
            'One card is behind it: search, and it is planned anew from now.',
            $board['sentence'],
        );
        self::assertTrue(self::cards($board)[$card->id]['late']);
        $this->as('ines', 'POST', $this->block('/plan'), ['seconds' => 1, 'version' => $board['version']])
            ->assertStatus(202);
        Artisan::call('queue:work', ['--stop-when-empty' => true]);
        self::assertStringStartsWith(
            'Work has slipped: as it went the aircraft would have left on ',
            $this->as('ines', 'GET', $this->block('/plan'))->json('words'),
        );
        $after = $this->board();
        self::assertSame($board['version'] + 1, $after['version']);
        self::assertStringNotContainsString('behind it', $after['sentence']);
        $days = $this->as('ines', 'GET', $this->block('/progress'))->json('days');
        self::assertStringStartsWith('work had slipped; planned anew', end($days)['why']);
    }

    public function test_a_search_is_cancelled_superseded_or_taken_up_after_a_crash(): void
    {
        $ask = fn()
            => $this->as(
                'ines',
                'POST',
                $this->block('/plan'),
                ['seconds' => 1, 'version' => $this->board()['version']],
            )
            ->assertStatus(202)->json('id');
        $first = $ask();
        $this->as('ines', 'POST', "plan-runs/{$first}/cancel")->assertOk()
            ->assertJsonPath('words', 'Cancelled. The plan was left as it was.');
        Artisan::call('queue:work', ['--stop-when-empty' => true]);
        self::assertSame(PlanRunState::Cancelled, PlanRun::findOrFail($first)->state);

        $second = $ask();
        VisitPlan::whereKey(1)->increment('version');
        app(PlanRuns::class)->work($second);
        self::assertStringStartsWith('Somebody changed the plan', (string) PlanRun::findOrFail($second)->message);

        $third = $ask();
        // Its worker died in the middle: the run says so, and another worker begins it again.
        PlanRun::whereKey($third)->update(['state' => PlanRunState::Running, 'beat_at' => '2026-05-05T12:00:00Z']);
        self::assertStringContainsString(
            'It begins again by itself; nothing is lost.',
            $this->as('ines', 'GET', $this->block('/plan'))->json('words'),
        );
        app(PlanRuns::class)->work($third);
        self::assertSame(PlanRunState::Done, PlanRun::findOrFail($third)->state);

        DB::table('jobs')->delete();
        $fourth = $ask();
        (new PlanJob($fourth))->failed(null);
        self::assertStringContainsString('stopped three times', (string) PlanRun::findOrFail($fourth)->message);
    }

    public function test_the_plan_can_be_taken_away(): void
    {
        $lines = Csv::read((string) $this->as('mika', 'GET', $this->block('/plan.csv'))->assertOk()->getContent());
        $cards = Card::where('visit_id', 1)->orderBy('id')->get();
        self::assertSame('card', $lines[0][0]);
        self::assertSame($cards->pluck('number')->all(), array_column(array_slice($lines, 1), 0));
        $local = static fn(?Instant $at): string
            => $at === null
                ? ''
                : (new \DateTimeImmutable((string) $at))->setTimezone(new \DateTimeZone('Europe/Oslo'))
                    ->format('Y-m-d H:i');
        self::assertSame(
            $cards->map(static fn(Card $c): string => $local($c->begun_at ?? $c->planned_start))->all(),
            array_column(array_slice($lines, 1), 8),
        );
        self::assertSame(
            ['Europe/Oslo'],
            array_values(array_unique(array_column(array_slice($lines, 1), 13))),
            'the zone of the times is in the file',
        );
        $events = FleetTest::readByAnother(
            (string) $this->as('mika', 'GET', $this->block('/plan.ics'))->assertOk()->getContent(),
        );
        self::assertCount($cards->count(), $events);
        $card = $cards->firstOrFail('makes', 'lower');
        $event = array_column($events, null, 'uid')["card-{$card->id}@jorvel"];
        self::assertSame(
            ["QA-VFA {$card->number} Lower to the wheels", (string) $card->planned_start, (string) $card->planned_end],
            [$event['summary'], $event['start'], $event['end']],
        );
    }

    public function test_a_card_waits_for_those_before_it_on_the_floor_too(): void
    {
        $waiting = Card::with('waitsFor')->where(['visit_id' => 1, 'state' => Card::OPEN, 'makes' => 'last'])
            ->firstOrFail();
        $oda = $this->person('oda');
        $this->assign($waiting, 'oda')->assertOk();
        $held = array_column($this->as('oda', 'GET', 'floor')->json('cards'), 'hold', 'id')[$waiting->id];
        self::assertStringStartsWith('waits for 001-', $held);
        $message = $this->as('oda', 'POST', "cards/{$waiting->id}/steps/1", [
            'version' => $waiting->version, 'do' => 'done',
        ])->assertStatus(422)->json('message');
        self::assertStringContainsString('That is worked first', $message);
    }

    public function test_a_finding_gets_its_card_and_the_card_settles_it(): void
    {
        $look = Card::where(['visit_id' => 1, 'state' => Card::IN_WORK])->firstOrFail();
        Step::where('card_id', $look->id)->update(['state' => Step::OPEN]);
        $this->as('ines', 'POST', "cards/{$look->id}/findings", ['place' => 'rib 4', 'extent' => 'cracked'])
            ->assertOk();
        $finding = Finding::orderByDesc('id')->firstOrFail();
        self::assertSame(
            [$finding->number],
            array_column($this->as('ines', 'GET', $this->block())->json('findings'), 'number'),
        );
        $visit = $this->as('ines', 'POST', "findings/{$finding->id}/card", ['hours' => 6])->assertCreated()->json();
        self::assertSame([], $visit['findings']);
        $card = Card::with('waitsFor')->where('finding_id', $finding->id)->firstOrFail();
        self::assertContains($look->id, $card->waitsFor->modelKeys(), 'the look that found it comes first');
        self::assertNotNull($card->planned_start);
        $this->as('ines', 'POST', "findings/{$finding->id}/card", ['hours' => 6])->assertStatus(422)
            ->assertJsonPath('message', "Finding {$finding->number} already has a card.");
        $this->as('ines', 'POST', 'findings/1/card', ['hours' => 0])->assertStatus(422);
        Step::where('card_id', $card->id)->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        // Whenever it is planned, it is worked now.
        $card->update(['planned_start' => null, 'planned_end' => null]);
        $this->assign($card, 'oda')->assertOk();
        $card->update(['independent_inspection' => false]);
        $this->as('oda', 'POST', "cards/{$card->id}/sign", [
            'version' => $card->refresh()->version, 'stamp' => 'T27', 'pin' => '2741', 'spent' => 7.5,
        ])->assertOk();
        $finding->refresh();
        self::assertSame(['fixed', "by card {$card->number}"], [$finding->state->value, $finding->fixed_how]);
        self::assertSame(7.5, $card->refresh()->spent);
    }
}
