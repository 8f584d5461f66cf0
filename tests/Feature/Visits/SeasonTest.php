<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Crew\Do\SetDays;
use App\Crew\Model\Person;
use App\Deferrals\Model\DeferralCard;
use App\Fleet\Show\DueBook;
use App\Floor\Model\Card;
use App\Now\LoadExits;
use App\Now\VisitDoubts;
use App\Visits\Model\PlanRunState;
use App\Visits\Model\SeasonRun;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** The whole fleet's visits planned as one: what it is fed with, what is laid, mended and kept. */
final class SeasonTest extends WorldCase
{
    private const DAYS = 30;

    /** @return array<string, mixed> */
    private function season(int $days = self::DAYS): array
    {
        return $this->as('ines', 'GET', "season?days={$days}")->assertOk()->json();
    }

    /**
     * @param array<string, mixed> $season
     *
     * @return list<array<string, mixed>> as it is sent
     */
    private static function laid(array $season): array
    {
        return array_map(static fn(array $v): array => [
            'id' => $v['id'], 'mark' => $v['mark'], 'bay' => $v['bay'], 'start' => $v['start'], 'end' => $v['end'],
            'items' => array_column($v['items'], 'id'), 'pinned' => $v['pinned'], 'title' => $v['title'],
            'hours' => $v['visit'] === null ? $v['own'] : 0,
        ], $season['visits']);
    }

    /**
     * @param list<array<string, mixed>> $visits
     *
     * @return array<string, mixed>
     */
    private function judged(array $visits, string $how = 'judge', int $days = self::DAYS): array
    {
        return $this->as('ines', 'POST', "season/{$how}", ['days' => $days, 'visits' => $visits])->assertOk()->json();
    }

    /**
     * @param list<string> $items
     *
     * @return array<string, mixed>
     */
    private static function visit(
        string $mark,
        string $bay,
        string $start,
        string $end,
        array $items,
        int $n = 1,
    ): array {
        return [
            'id' => "new-{$n}", 'mark' => $mark, 'bay' => $bay, 'start' => $start, 'end' => $end, 'items' => $items,
            'pinned' => false, 'title' => 'By hand', 'hours' => 0,
        ];
    }

    /**
     * @param array<string, mixed> $season
     *
     * @return array<string, mixed> a visit of it
     */
    private static function of(array $season, string $by, string $value): array
    {
        return array_column($season['visits'], null, $by)[$value];
    }

    /**
     * @param array<string, mixed> $season
     *
     * @return array<string, mixed> the first thing that an aircraft needs
     */
    private static function need(array $season, string $mark, string $title): array
    {
        foreach ($season['open'] as $need) {
            if ($need['mark'] === $mark && str_starts_with($need['title'], $title)) {
                return $need;
            }
        }
        self::fail("{$mark} needs no {$title}");
    }

    public function test_a_season_is_fed_with_all_that_the_rooms_know(): void
    {
        $season = $this->season(90);
        self::assertSame(['2026-05-05', 90], [$season['from'], $season['days']]);
        self::assertSame(
            Visit::where('state', '!=', Visit::RELEASED)->count(),
            count(array_filter($season['visits'], static fn(array $v): bool => $v['visit'] !== null)),
        );
        // A deferral with its last day, as Deferrals has it.
        $closing = self::need($season, 'QA-VFD', 'Close:');
        $page = app(DueBook::class)->page(app(DueBook::class)->query()->where('mark', 'QA-VFD')->firstOrFail());
        self::assertContains($closing['latest'], array_map(
            static fn(ClockResult $c): string => (string) $c->forecastLast,
            $page->outlook->deferrals,
        ));
        // What comes again comes as often as the span holds.
        $wash = array_values(array_filter(
            $season['open'],
            static fn(array $n): bool => $n['mark'] === 'Q-402' && str_starts_with($n['title'], 'Salt wash'),
        ));
        self::assertGreaterThanOrEqual(3, count($wash));
        $days = array_column($wash, 'days');
        foreach (array_slice($days, 1) as $i => $day) {
            self::assertSame(30, $day - $days[$i]);
        }
        // A visit over planned flights says so, and a fleet's need is there.
        $gear = self::of($season, 'mark', 'QC-TAC');
        self::assertStringContainsString('planned on its days', implode(' ', $gear['notes']));
        self::assertContains(true, array_map(static fn(array $f): bool => $f['needs'] > 0, $season['fleets']));
        // An aircraft goes where somebody may work on it: nobody at Port Ellery may on QA-VFF, which lives there.
        $fits = array_column($season['bays'], 'fits', 'id');
        self::assertNotContains('QA-VFF', $fits['Port Ellery']);
        self::assertContains('QA-VFF', $fits['Skarnholm bay 3']);
        self::assertNotContains('QA-VFE', $fits['Port Ellery']);
        foreach ($season['bays'] as $bay) {
            self::assertCount(90, $bay['worked']);
            self::assertCount(90, $bay['hours']);
        }
    }

    public function test_a_season_is_proposed_taken_and_kept_as_visits(): void
    {
        $this->as('mika', 'POST', 'season/propose', ['days' => 30, 'seconds' => 1, 'anew' => false, 'mark' => null, 'visits' => []])->assertForbidden();
        $run = $this->as('ines', 'POST', 'season/propose', ['days' => 30, 'seconds' => 2, 'anew' => false, 'mark' => null, 'visits' => []])
            ->assertStatus(202)->json();
        self::assertSame(['waiting', false], [$run['state'], $run['ended']]);
        self::assertStringContainsString(
            'being planned already',
            $this->as('ines', 'POST', 'season/propose', ['days' => 30, 'seconds' => 2, 'anew' => false, 'mark' => null, 'visits' => []])
                ->assertStatus(422)->json('message'),
        );
        Artisan::call('queue:work', ['--stop-when-empty' => true]);
        $run = $this->as('ines', 'GET', 'season/run')->assertOk()->json();
        self::assertSame(['done', true], [$run['state'], $run['ended']], $run['words']);
        $season = $this->judged($run['visits']);
        self::assertSame([], array_merge(...array_column($season['visits'], 'problems')));
        self::assertTrue($season['mayKeep']);
        $before = [Visit::count(), Card::count(), (int) DeferralCard::count()];
        foreach ($season['visits'] as $visit) {
            self::assertTrue(
                $visit['visit'] !== null || $visit['start'] > '2026-05-05'
                    || min(array_column($visit['items'], 'latest')) === '2026-05-05',
                'nothing is proposed for today that need not be',
            );
        }
        $kept = $this->as('ines', 'POST', 'season/keep', ['days' => 30, 'visits' => $run['visits']])
            ->assertCreated()->json();
        $new = count(array_filter($season['visits'], static fn(array $v): bool => $v['visit'] === null));
        self::assertSame($before[0] + $new, Visit::count());
        self::assertSame(0, Card::whereIn('visit_id', $kept['visits'])->whereNull('planned_start')->count());
        self::assertGreaterThan($before[2], DeferralCard::count(), 'deferrals are closed in them');
        self::assertSame(0, Visit::whereIn('id', $kept['visits'])->whereDoesntHave('cards')->count());
        self::assertSame(
            0,
            DB::table('bay_slots')->join('bays', 'bays.id', '=', 'bay_slots.bay_id')
                ->join('visits', 'visits.bay', '=', 'bays.name')->where('visits.state', '!=', 'released')
                ->whereColumn('bay_slots.start', '<=', 'visits.end')->whereColumn('bay_slots.end', '>=', 'visits.start')
                ->count(),
            'what is taken is no longer offered as free',
        );
        // Read anew, all that had a visit has one, and Fleet agrees: who stands not, flies.
        $again = $this->season();
        self::assertEqualsCanonicalizing($season['standing'], $again['standing']);
        self::assertFalse($again['mayKeep']);
        $rows = array_column($this->as('ines', 'GET', 'as-of?day=2026-06-03')->json('rows'), null, 'mark');
        foreach ($again['aircraft'] as $craft) {
            $kept = in_array($craft['mark'], $again['standing'], true);
            foreach ($kept ? [] : $rows[$craft['mark']]['why'] as $why) {
                // A damage is looked at again on the line, no visit is needed for it.
                self::assertTrue(
                    ! str_contains($why, 'last day') || str_starts_with($why, 'Look again'),
                    "{$craft['mark']}: {$why}",
                );
            }
        }
        // Read with their cards or without, the same leave too late by their plans.
        $visits = Visit::with([...VisitDoubts::WITH, 'cards'])->where('state', '!=', Visit::RELEASED)->get();
        self::assertEquals(
            $visits->keyBy('id')->map(app(VisitDoubts::class)->late(...))->filter()->all(),
            array_map(static fn(array $l): string => $l['said'], app(LoadExits::class)->of($visits->modelKeys())),
        );
        // A second time the same is gone.
        $this->as('ines', 'POST', 'season/keep', ['days' => 30, 'visits' => $run['visits']])->assertStatus(409);
        $this->planAnew($again);
    }

    /**
     * What is kept and not pinned may be moved when that is asked for: it stays the visit that it is.
     *
     * @param array<string, mixed> $kept
     */
    private function planAnew(array $kept): void
    {
        $free = array_values(array_filter(
            $kept['visits'],
            static fn(array $v): bool => ! $v['stands'] && $v['own'] <= 0 && $v['items'] !== [],
        ));
        $pinned = ['pinned' => true] + array_column(self::laid($kept), null, 'id')[$free[0]['id']];
        $this->as('ines', 'POST', 'season/propose', [
            'days' => 30, 'seconds' => 2, 'anew' => true, 'mark' => null,
            'visits' => array_map(static fn(array $v): array => $v['id'] === $pinned['id'] ? $pinned : $v, self::laid($kept)),
        ])->assertStatus(202);
        Artisan::call('queue:work', ['--stop-when-empty' => true]);
        $visits = $this->as('ines', 'GET', 'season/run')->json('visits');
        $season = $this->judged($visits);
        self::assertSame([], array_merge(...array_column($season['visits'], 'problems')));
        self::assertSame([], array_diff(array_column($kept['visits'], 'id'), array_column($season['visits'], 'id')));
        $now = array_column($season['visits'], null, 'id');
        foreach ($kept['visits'] as $was) {
            if ($was['stands'] || $was['id'] === $pinned['id']) {
                // It stays where it is; more may come into what has hours left.
                $place = static fn(array $v): array => [$v['bay'], $v['start'], $v['end']];
                self::assertSame($place($was), $place($now[$was['id']]), "{$was['mark']} {$was['title']} stays");
                self::assertSame([], array_diff(
                    array_column($was['items'], 'id'),
                    array_column($now[$was['id']]['items'], 'id'),
                ));
            }
        }
        $moved = array_filter($free, static fn(array $v): bool => $now[$v['id']]['changed'] && ! $now[$v['id']]['gone']);
        self::assertNotSame([], $moved, 'some are moved, and are the visits that they were');
        $this->as('ines', 'POST', 'season/keep', ['days' => 30, 'visits' => $visits])->assertCreated();
        foreach ($moved as $was) {
            self::assertSame($now[$was['id']]['start'], (string) Visit::findOrFail($was['visit'])->start);
        }
        // Who stands less flies more: what falls due earlier by that is new to it; nothing that had a visit lost it.
        $had = array_merge(...array_map(
            static fn(array $v): array => array_column($v['items'], 'id'),
            $season['visits'],
        ));
        self::assertSame([], array_intersect(array_column($this->season()['open'], 'id'), $had));
    }

    public function test_one_aircraft_is_planned_and_nothing_else_is_touched(): void
    {
        $ask = fn(?string $mark) => $this->as('ines', 'POST', 'season/propose', [
            'days' => 90, 'seconds' => 1, 'anew' => true, 'mark' => $mark, 'visits' => [],
        ]);
        $ask('QZ-NO')->assertStatus(422);
        $ask('QC-TAA')->assertStatus(202);
        Artisan::call('queue:work', ['--stop-when-empty' => true]);
        $before = $this->season(90);
        $season = $this->judged($this->as('ines', 'GET', 'season/run')->json('visits'), days: 90);
        $open = static fn(array $of): array => array_values(array_unique(array_column($of['open'], 'mark')));
        self::assertSame(array_values(array_diff($open($before), ['QC-TAA'])), $open($season));
        $new = array_filter($season['visits'], static fn(array $v): bool => $v['changed']);
        self::assertSame(['QC-TAA'], array_values(array_unique(array_column($new, 'mark'))));
        self::assertSame([], array_merge(...array_column($new, 'problems')));
    }

    public function test_work_on_days_on_which_most_people_are_on_leave_costs_more_and_is_said(): void
    {
        $needs = array_slice(array_values(array_filter(
            $this->season()['open'],
            static fn(array $n): bool => $n['mark'] === 'Q-402' && $n['latest'] >= '2026-05-20',
        )), 0, 6);
        $laid = [self::visit('Q-402', 'Port Ellery', '2026-05-20', '2026-05-20', array_column($needs, 'id'))];
        $of = function () use ($laid): array {
            $season = $this->judged($laid);
            $cost = array_column($season['figures'], 'value', 'name')['hours that it costs'];

            return [
                (float) str_replace(',', '', $cost), self::of($season, 'id', 'new-1')['hours'],
                implode(' ', $season['short']),
            ];
        };
        [$was, $hours, $said] = $of();
        self::assertGreaterThan(5, $hours);
        self::assertStringNotContainsString('20 May', $said);
        $leave = fn(Person $person, Day $day) => app(SetDays::class)->set(
            $this->person('ines'),
            $person,
            $day,
            $day,
            null,
            'leave',
        );
        foreach (Person::where('base', 'Port Ellery')->get() as $person) {
            $leave($person, Day::parse('2026-05-20'));
        }
        [$is, , $said] = $of();
        self::assertEqualsWithDelta(
            $hours * (config('jorvel.season_full_hours') + config('jorvel.season_over_hours')),
            $is - $was,
            1.0,
        );
        self::assertStringContainsString('Port Ellery on Wed 20 May', $said);
        // A kept visit that is planned for such a day says so wherever it is named.
        $kept = Visit::whereRelation('aircraft', 'mark', 'Q-407')->where('state', Visit::PLANNED)->firstOrFail();
        $said = fn(): array => [
            implode(' ', $this->as('ines', 'GET', "visits/{$kept->id}")->json('doubts')),
            implode(' ', self::of($this->season(), 'id', "visit-{$kept->id}")['notes']),
            $this->as('ines', 'GET', "visits/{$kept->id}/board")->json('sentence'),
        ];
        self::assertStringNotContainsString('are not there', implode($said()));
        foreach (Person::where('base', 'Port Ellery')->get() as $person) {
            $leave($person, $kept->start);
        }
        foreach ($said() as $words) {
            self::assertStringContainsString(
                '13 cards are planned for when the people that they need are not there',
                $words,
            );
        }
    }

    public function test_a_search_is_cancelled_and_leaves_everything_as_it_was(): void
    {
        $id = $this->as('ines', 'POST', 'season/propose', ['days' => 30, 'seconds' => 60, 'anew' => false, 'mark' => null, 'visits' => []])->json('id');
        $this->as('oda', 'POST', "season-runs/{$id}/cancel")->assertForbidden();
        $run = $this->as('ines', 'POST', "season-runs/{$id}/cancel")->assertOk()->json();
        self::assertSame(['cancelled', true, []], [$run['state'], $run['ended'], $run['visits']]);
        Artisan::call('queue:work', ['--stop-when-empty' => true]);
        self::assertSame(PlanRunState::Cancelled, SeasonRun::findOrFail($id)->state);
    }

    /** @return iterable<string, array{string, string, string, string, string}> aircraft, what, place, day, why not */
    public static function wrong(): iterable
    {
        yield 'too late' => ['QA-VFC', 'Propeller governor', 'Skarnholm bay 3', '2026-05-14', 'would be overdue'];
        yield 'where another one stands' => [
            'QA-VFC', 'Propeller governor', 'Skarnholm bay 1', '2026-05-12', 'no place',
        ];
        yield 'at another base' => ['QA-VFC', 'Propeller governor', 'Port Ellery', '2026-05-12', 'at another base'];
        yield 'where nobody may' => ['QA-VFF', 'Engine and airframe', 'Port Ellery', '2026-05-12', 'may work on SKV'];
        yield 'in two visits' => ['QC-TAC', 'Fuel tank', 'Skarnholm bay 3', '2026-05-05', 'in another visit'];
        yield 'on a Sunday' => ['QA-VFC', 'Propeller governor', 'Skarnholm bay 3', '2026-05-10', 'No work is done'];
    }

    #[DataProvider('wrong')]
    public function test_what_does_not_hold_is_said_and_not_kept(
        string $mark,
        string $what,
        string $bay,
        string $day,
        string $why,
    ): void {
        $need = self::need($this->season(60), $mark, $what);
        $visits = [self::visit($mark, $bay, $day, $day, [$need['id']])];
        $season = $this->judged($visits, days: 60);
        $laid = self::of($season, 'id', 'new-1');
        self::assertStringContainsString($why, implode(' ', $laid['problems']));
        self::assertSame(['stop', false], [$laid['state'], $season['mayKeep']]);
        $before = Visit::count();
        $said = $this->as('ines', 'POST', 'season/keep', ['days' => 60, 'visits' => $visits])->assertStatus(422);
        self::assertStringEndsWith('Nothing was kept.', (string) $said->json('message'));
        self::assertSame($before, Visit::count());
    }

    public function test_what_was_done_meanwhile_is_not_kept_twice(): void
    {
        $need = self::need($this->season(), 'QA-VFC', 'Propeller governor');
        $visits = [self::visit('QA-VFC', 'Skarnholm bay 3', '2026-05-12', '2026-05-12', [$need['id']])];
        $this->as('ines', 'POST', 'season/keep', ['days' => 30, 'visits' => $visits])->assertCreated();
        $said = $this->as('ines', 'POST', 'season/keep', ['days' => 30, 'visits' => $visits])->assertStatus(409);
        self::assertStringContainsString('in a visit by now', (string) $said->json('message'));
        $this->as('oda', 'POST', 'season/judge', ['days' => 30, 'visits' => []])->assertForbidden();
        foreach ([['id' => 'x-1'], ['start' => 'soon'], ['items' => 'all'], ['hours' => -1]] as $bad) {
            $this->as('ines', 'POST', 'season/judge', ['days' => 30, 'visits' => [[...$visits[0], ...$bad]]])
                ->assertStatus(422);
        }
    }

    public function test_the_kept_season_goes_out_as_table_calendar_and_paper(): void
    {
        $lines = explode(
            "\r\n",
            trim((string) $this->as('mika', 'GET', 'season.csv?days=60')->assertOk()->getContent()),
        );
        self::assertSame('aircraft,type,base,visit,state,where,first_day,last_day,cards,hours,items', $lines[0]);
        $going = Visit::where('start', '<=', '2026-07-03')->where('end', '>=', '2026-05-05')->get();
        self::assertCount($going->count() + 1, $lines);
        self::assertStringContainsString(
            'QA-VFB,SKV,Skarnholm,Phase check,planned,Skarnholm bay 2,2026-05-21',
            implode("\n", $lines),
        );
        $calendar = (string) $this->as('mika', 'GET', 'season.ics?days=60')->assertOk()->getContent();
        self::assertSame($going->count(), substr_count($calendar, 'BEGIN:VEVENT'));
        self::assertStringContainsString('SUMMARY:QA-VFB Phase check', $calendar);
        foreach (['A4', 'A3'] as $size) {
            $sheet = (string) $this->as(
                'mika',
                'GET',
                "season.pdf?month=2026-05&size={$size}",
            )->assertOk()->getContent();
            self::assertStringStartsWith('%PDF-', $sheet);
            self::assertSame(1, preg_match_all('#/Type /Page\b(?!s)#', $sheet));
        }
        $this->as('mika', 'GET', 'season.pdf?month=May')->assertStatus(422);
    }

    public function test_a_bay_that_closes_moves_what_stood_in_it_and_nothing_else(): void
    {
        $bay = (int) DB::table('bays')->where('name', 'Skarnholm bay 2')->value('id');
        $this->as('oda', 'POST', "bays/{$bay}/closures", ['start' => '2026-05-20', 'end' => '2026-05-26', 'why' => 'x'])
            ->assertForbidden();
        $this->as('ines', 'POST', "bays/{$bay}/closures", [
            'start' => '2026-05-20', 'end' => '2026-05-26', 'why' => 'crane inspection',
        ])->assertCreated();
        // What stands there is said not to be worked then, in the visit and on its board.
        $stands = Visit::where('title', 'Phase check')->firstOrFail();
        $said = 'Skarnholm bay 2 is closed from Wed 20 May to Tue 26 May: crane inspection';
        self::assertStringContainsString(
            $said,
            implode(' ', $this->as('oda', 'GET', "visits/{$stands->id}")->assertOk()->json('doubts')),
        );
        $board = $this->as('oda', 'GET', "visits/{$stands->id}/board")->assertOk();
        self::assertStringContainsString($said, (string) $board->json('note'));
        self::assertSame('watch', $board->json('verdict'));
        self::assertStringContainsString(
            'planned for when the people that they need are not there',
            (string) $board->json('sentence'),
        );
        self::assertSame([], array_filter(
            array_column($board->json('days'), 'words'),
            static fn(string $day): bool => preg_match('/\b2[0-6] May/', $day) === 1,
        ));
        // The bays' calendar says the same: shaded, and no free stretch of it is offered as free.
        $calendar = array_column($this->as('oda', 'GET', 'bays')->assertOk()->json('bays'), null, 'name');
        $blocks = array_column($calendar['Skarnholm bay 2']['blocks'], null, 'kind');
        self::assertSame('crane inspection', $blocks['closed']['title']);
        foreach ($calendar['Skarnholm bay 2']['blocks'] as $block) {
            $over = $block['kind'] === 'free' && $block['start'] <= '2026-05-26' && $block['end'] >= '2026-05-20';
            self::assertSame($over, str_contains($block['note'], 'the bay is closed then'));
        }
        $season = $this->season();
        $phase = self::of($season, 'title', 'Phase check');
        self::assertStringContainsString('No work is done in Skarnholm bay 2', implode(' ', $phase['problems']));
        $mended = $this->judged(self::laid($season), 'mend');
        self::assertCount(1, $mended['moved'], implode(' ', $mended['moved']));
        self::assertStringContainsString('QA-VFB Phase check', $mended['moved'][0]);
        $after = array_column($mended['visits'], null, 'id');
        foreach ($season['visits'] as $was) {
            $same = [$was['bay'], $was['start'], $was['end']];
            $is = [$after[$was['id']]['bay'], $after[$was['id']]['start'], $after[$was['id']]['end']];
            self::assertSame($was['id'] === $phase['id'], $same !== $is, $was['mark']);
        }
        $this->as('ines', 'POST', 'season/keep', ['days' => 30, 'visits' => self::laid($mended)])->assertCreated();
        $moved = Visit::findOrFail($phase['visit']);
        self::assertSame($after[$phase['id']]['start'], (string) $moved->start);
        self::assertSame(0, $moved->cards()->where('planned_start', '<', (string) $moved->start)->count());
        // Nobody else is put there by another door either.
        self::assertStringContainsString('crane inspection', (string) $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'x', 'bay' => 'Skarnholm bay 2', 'start' => '2026-05-22',
            'end' => '2026-05-22',
            'items' => [explode('|', self::need($season, 'QA-VFC', 'Propeller governor')['id'])[1]],
        ])->assertStatus(422)->json('message'));
        $id = (int) DB::table('bay_closures')->value('id');
        $this->as('ines', 'POST', "bay-closures/{$id}/open")->assertOk();
        self::assertSame(0, DB::table('bay_closures')->count());
    }

    public function test_a_kept_visit_whose_cards_take_longer_is_made_longer_when_it_is_asked_for(): void
    {
        $visit = Visit::with('cards')->where('title', 'Phase check')->firstOrFail();
        $before = $this->season();
        self::assertFalse($before['mends']);
        $last = $visit->cards->sortByDesc(static fn(Card $c): string => (string) $c->planned_end)->firstOrFail();
        // As if somebody had moved the last card to the day after.
        $last->update(['planned_start' => '2026-05-26T06:00:00Z', 'planned_end' => '2026-05-26T09:00:00Z']);
        $season = $this->season();
        $phase = self::of($season, 'title', 'Phase check');
        self::assertSame(
            [true, 'watch', 'watch', []],
            [$season['mends'], $season['verdict'], $phase['state'], $phase['problems']],
        );
        self::assertStringContainsString('1 visit leaves later by the plan of its cards.', $season['sentence']);
        self::assertStringContainsString('it must leave on Mon 25 May', implode(' ', $phase['notes']));
        // Moved by hand, it is still known how long they take.
        $laid = array_map(static fn(array $v): array => $v['id'] !== $phase['id'] ? $v : [
            ...$v, 'start' => '2026-05-18', 'end' => '2026-05-22',
        ], self::laid($season));
        self::assertStringContainsString(
            'Its cards, as they are planned, take until Sat 23 May.',
            implode(' ', self::of($this->judged($laid), 'title', 'Phase check')['notes']),
        );
        $mended = $this->judged(self::laid($season), 'mend');
        self::assertSame(
            ['QA-VFB Phase check: until Tue 26 May instead of Mon 25 May.'],
            $mended['moved'],
        );
        self::assertFalse($mended['mends']);
        $this->as('ines', 'POST', 'season/keep', ['days' => 30, 'visits' => self::laid($mended)])->assertCreated();
        self::assertSame('2026-05-26', (string) $visit->refresh()->end);
        // Only its last day is another: what it is planned by stands.
        self::assertSame('2026-05-26T09:00:00Z', (string) $last->refresh()->planned_end);
        self::assertStringNotContainsString(
            'it must leave',
            implode(' ', $this->as('ines', 'GET', "visits/{$visit->id}")->json('doubts')),
        );
    }

    /** The aircraft flies all the same; nothing but a wash comes there, by whatever door. */
    public function test_a_wash_goes_to_the_wash_place_for_an_hour(): void
    {
        $place = 'Skarnholm wash place';
        $season = $this->season();
        $wash = self::need($season, 'QA-VFF', 'Engine and airframe wash');
        $other = self::need($season, 'QA-VFF', 'Oil filter and chip detector');
        $with = fn(string $id): array => self::of($this->judged([
            ...self::laid($season), self::visit('QA-VFF', $place, '2026-05-12', '2026-05-12', [$id]),
        ]), 'id', 'new-1');
        self::assertStringContainsString(
            "At {$place} nothing is worked but washes; ".explode(' ', $other['code'])[0],
            implode(' ', $with($other['id'])['problems']),
        );
        self::assertSame([[], []], [$with($wash['id'])['problems'], $with($wash['id'])['notes']]);
        $make = fn(string ...$ids) => $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFF', 'title' => 'Wash', 'bay' => $place, 'start' => '2026-05-12', 'end' => '2026-05-12',
            'items' => array_map(static fn(string $id): string => explode('|', $id)[1], $ids),
        ]);
        self::assertStringContainsString(
            'nothing is worked but washes',
            (string) $make($wash['id'], $other['id'])->assertStatus(422)->json('message'),
        );
        $flown = fn(): array => [
            $this->as('ines', 'GET', 'as-of?day=2026-05-12')->assertOk()->json('rows'),
            self::need($this->season(), 'QA-VFF', 'Oil filter and chip detector')['latest'],
        ];
        $before = $flown();
        $visit = Visit::findOrFail($make($wash['id'])->assertCreated()->json('id'));
        self::assertTrue($visit->between);
        self::assertSame($before, $flown(), 'it flies on that day, and everything else falls due as it did');
        self::assertSame(1, $visit->cards()->count(), 'one card, no induction');
        DB::table('sectors')->limit(1)->update(['aircraft_id' => $visit->aircraft_id, 'date' => '2026-05-12']);
        $doubts = fn(): string => implode(' ', $this->as('oda', 'GET', "visits/{$visit->id}")->json('doubts'));
        self::assertSame('', $doubts(), 'a flight on its day is not in its way');
        $template = (int) DB::table('card_templates')->where('code', 'SKV-61-21')->value('id');
        foreach ([
            ["visits/{$visit->id}/items", ['items' => [explode('|', $other['id'])[1]], 'reason' => '']],
            ["visits/{$visit->id}/cards", ['template' => $template]],
        ] as [$door, $body]) {
            self::assertStringContainsString(
                'nothing is worked but washes',
                (string) $this->as('ines', 'POST', $door, $body)->assertStatus(422)->json('message'),
            );
        }
        $visit->update(['state' => Visit::IN_WORK]);
        self::assertNotSame($before, $flown(), 'once it has begun, it stands until it is released');
        $visit->update(['state' => Visit::PLANNED]);
        $edit = fn(string $bay) => $this->as('ines', 'POST', "visits/{$visit->id}/edit", [
            'title' => 'Wash', 'bay' => $bay, 'start' => '2026-05-12', 'end' => '2026-05-12', 'reason' => '',
        ]);
        $edit('Skarnholm bay 3')->assertOk();
        self::assertFalse($visit->refresh()->between, 'in a bay it stands');
        self::assertStringContainsString('1 flight is planned on its days', $doubts());
        self::assertNotSame($before, $flown());
        $this->as('ines', 'POST', "visits/{$visit->id}/items", [
            'items' => [explode('|', $other['id'])[1]], 'reason' => '',
        ])->assertCreated();
        self::assertStringContainsString('washes', (string) $edit($place)->assertStatus(422)->json('message'));
        $wet = (int) $visit->cards()->where('item_id', explode('|', $wash['id'])[1])->value('id');
        $dry = (int) $visit->cards()->where('item_id', explode(':', explode('|', $other['id'])[1])[0])->value('id');
        $split = fn(int $card) => $this->as('ines', 'POST', "visits/{$visit->id}/split", [
            'cards' => [$card], 'title' => 'Apart', 'bay' => $place, 'start' => '2026-05-13', 'end' => '2026-05-13',
            'reason' => '',
        ]);
        self::assertStringContainsString('washes', (string) $split($dry)->assertStatus(422)->json('message'));
        $apart = (int) $split($wet)->assertCreated()->json('id');
        self::assertTrue(Visit::findOrFail($apart)->between, 'the wash goes there by itself');
        self::assertStringContainsString('washes', (string) $this->as('ines', 'POST', "visits/{$visit->id}/merge", [
            'into' => $apart, 'reason' => '',
        ])->assertStatus(422)->json('message'));
        // As if it had been moved there before: said wherever it is named.
        $visit->update(['bay' => $place]);
        self::assertStringContainsString('Move the visit to a bay.', $doubts());
    }

    public function test_a_helicopter_breaks_down_and_the_least_is_moved(): void
    {
        $season = $this->season();
        $down = [
            ...self::visit('Q-404', 'Port Ellery', '2026-05-18', '2026-05-22', []), 'pinned' => true, 'hours' => 60,
            'title' => 'Tail rotor gearbox leaks',
        ];
        $laid = [...self::laid($season), $down];
        $now = $this->judged($laid);
        $phase = self::of($now, 'title', 'Phase A');
        self::assertStringContainsString('no place left', implode(' ', $phase['problems']));
        $mended = $this->judged($laid, 'mend');
        self::assertSame(1, count($mended['moved']), implode(' ', $mended['moved']));
        self::assertSame([], self::of($mended, 'id', 'new-1')['problems']);
        $kept = $this->as('ines', 'POST', 'season/keep', ['days' => 30, 'visits' => self::laid($mended)])
            ->assertCreated()->json();
        $stands = Visit::whereIn('id', $kept['visits'])->where('title', 'Tail rotor gearbox leaks')->firstOrFail();
        self::assertSame(['Port Ellery', '2026-05-18'], [$stands->bay, (string) $stands->start]);
    }
}
