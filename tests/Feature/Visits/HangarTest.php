<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Crew\Do\Rotas;
use App\Crew\Model\Qualification;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Now\HangarHours;
use App\Shared\Clock;
use App\Stores\Model\Part;
use App\Stores\Model\Tool;
use App\Visits\Do\CreateVisit;
use App\Visits\Do\MakeFixCard;
use App\Visits\Do\NewVisit;
use App\Visits\Do\PlanVisit;
use App\Visits\Model\BaySlot;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitPlan;
use App\Visits\Show\ShowShortages;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** Several visits in one hangar: people shared, panels opened again, cards that lack something. */
final class HangarTest extends WorldCase
{
    /** @param list<string> $codes */
    private function visit(string $mark, array $codes, string $start, string $end, string $bay): Visit
    {
        $aircraft = Aircraft::where('mark', $mark)->firstOrFail();
        $keys = ProgrammeItem::where('type_id', $aircraft->type_id)->whereIn('code', $codes)->whereNull('component')
            ->orderBy('code')->pluck('id')->map(strval(...))->all();

        $new = new NewVisit($mark, 'Work', $bay, Day::parse($start), Day::parse($end), array_values($keys));

        return app(CreateVisit::class)($this->person('ines'), $new)->load('aircraft.type');
    }

    /**
     * @param Collection<int, Card> $cards
     * @param array<string, int> $there a card whose people are not there rests
     *
     * @return array<string, int> people of each skill at work at an instant
     */
    private static function used(Collection $cards, string $at, array $there): array
    {
        $used = [];
        foreach ($cards as $card) {
            $needs = [...$card->needs ?? [], '*' => array_sum($card->needs ?? [])];
            $rests = array_filter(
                $needs,
                static fn(int $many, string $skill): bool => ($there[$skill] ?? 0) < $many,
                ARRAY_FILTER_USE_BOTH,
            ) !== [];
            if (! $rests && $card->planned_start <= $at && $at < $card->planned_end) {
                foreach ($needs as $skill => $many) {
                    $used[$skill] = ($used[$skill] ?? 0) + $many;
                }
            }
        }

        return $used;
    }

    public function test_two_visits_of_a_base_never_plan_the_same_people(): void
    {
        $codes = ['53-11', '53-12', '53-13', '27-11', '27-21', '21-51', '23-11', '28-21', '29-11'];
        $visits = [
            $this->visit('QA-VFC', $codes, '2026-05-06', '2026-05-15', 'Skarnholm bay 2'),
            $this->visit('QA-VFE', $codes, '2026-05-06', '2026-05-15', 'Skarnholm bay 3'),
        ];
        $there = Visit::whereNot('state', Visit::RELEASED)
            ->whereHas('aircraft', static fn($q) => $q->where('base', 'Skarnholm'))
            ->pluck('id');
        $cards = Card::whereIn('visit_id', $there)->whereNot('state', Card::CLOSED)->get();
        self::assertSame(0, $cards->whereNull('planned_start')->count());
        [$others, $last] = [$cards->where('visit_id', '!=', $visits[1]->id), $cards->where('visit_id', $visits[1]->id)];
        $looked = 0;
        foreach (app(Rotas::class)->of('Skarnholm')->spells(
            Day::parse('2026-05-06'),
            10,
            'SKV',
            array_fill(1, 6, ['06:00', '22:00']),
            6,
        ) as $spell) {
            for ($at = $spell->from->epoch(); $at < $spell->until->epoch(); $at += 1800) {
                $free = $spell->people;
                foreach (self::used($others, (string) Instant::fromEpoch($at), $spell->people) as $skill => $many) {
                    $free[$skill] = max(0, ($free[$skill] ?? 0) - $many);
                }
                foreach (self::used($last, (string) Instant::fromEpoch($at), $free) as $skill => $many) {
                    self::assertLessThanOrEqual($free[$skill] ?? 0, $many, "{$skill} at ".Instant::fromEpoch($at));
                    $looked += $many;
                }
            }
        }
        self::assertGreaterThan(100, $looked, 'they are planned at all');
    }

    public function test_a_visit_that_comes_in_on_a_sunday_is_begun_on_monday(): void
    {
        $visit = $this->visit('QA-VFC', ['53-11', '29-14'], '2026-05-10', '2026-05-13', 'Skarnholm bay 2');
        $first = (string) $visit->cards()->min('planned_start');
        self::assertSame('2026-05-11T04:00:00Z', $first, 'six in the morning in Oslo');
        self::assertSame('2026-05-10', app(Clock::class)->today()->plusDays(5)->__toString());
    }

    public function test_a_bay_takes_one_aircraft_at_a_time(): void
    {
        $item = (string) ProgrammeItem::where(
            ['type_id' => Aircraft::where('mark', 'QA-VFC')->value('type_id'), 'code' => '53-11'],
        )->value('id');
        $make = fn(string $bay, string $start, string $end) => $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'x', 'bay' => $bay, 'start' => $start, 'end' => $end, 'items' => [$item],
        ]);
        $count = Visit::count();
        foreach ([['2026-05-14', '2026-05-20'], ['2026-05-05', '2026-05-06']] as [$start, $end]) {
            $make('Skarnholm bay 1', $start, $end)->assertStatus(422)->assertJsonPath(
                'message',
                'QA-VFA stands in Skarnholm bay 1 from Wed 29 Apr to Thu 14 May. Choose another bay or other '
                        .'dates; nothing was saved.',
            );
        }
        self::assertSame($count, Visit::count());
        $make('line', '2026-05-14', '2026-05-15')->assertCreated();
    }

    public function test_a_visit_that_should_be_over_lasts_until_it_is_released(): void
    {
        Visit::whereKey(1)->update(['end' => '2026-05-03']);
        $row = array_column((array) $this->as('ines', 'GET', 'fleet')->json('rows'), null, 'mark')['QA-VFA'];
        self::assertSame(['waiting', 0], [$row['state'], $row['visits'][0]['to']], 'it stands, today too');
        self::assertStringContainsString(
            'which should have ended on Sun 3 May',
            $this->as('ines', 'GET', 'fleet/QA-VFA')->json('sentence'),
        );
        $bays = array_column((array) $this->as('ines', 'GET', 'bays')->json('bays'), 'blocks', 'name');
        $ends = array_column($bays['Skarnholm bay 1'], 'end', 'id');
        self::assertSame('2026-05-05', $ends['visit-1'], 'drawn to today');
        $item = (string) ProgrammeItem::where(
            ['type_id' => Aircraft::where('mark', 'QA-VFC')->value('type_id'), 'code' => '53-11'],
        )->value('id');
        $make = fn(string $mark, string $day, string $bay) => $this->as('ines', 'POST', 'visits', [
            'mark' => $mark, 'title' => 'x', 'bay' => $bay, 'start' => $day, 'end' => $day, 'items' => [$item],
        ]);
        $said = 'QA-VFA stands in Skarnholm bay 1 from Wed 29 Apr to Tue 5 May.';
        $slot = ['start' => '2026-05-05', 'end' => '2026-05-05', 'hours' => 10];
        $planned = Visit::where(['state' => Visit::PLANNED])->where('bay', '!=', 'Skarnholm bay 1')->firstOrFail();
        $planned->update(['bay' => 'Skarnholm bay 1']);
        $move = ['kind' => 'visit', 'id' => $planned->id, 'start' => '2026-05-05', 'end' => '2026-05-05'];
        foreach ([
            'its bay, for another' => [$make('QA-VFC', '2026-05-05', 'Skarnholm bay 1'), $said],
            'its bay, as a free slot' => [$this->as('ines', 'POST', 'bays/1/slots', $slot), $said],
            'its bay, for a visit that is moved' => [
                $this->as('ines', 'POST', 'what-if', ['changes' => [$move]]), $said,
            ],
            'itself, in another' => [$make('QA-VFA', '2026-05-05', 'line'), 'QA-VFA is already in "'],
        ] as $what => [$answer, $words]) {
            self::assertStringContainsString($words, (string) $answer->assertStatus(422)->json('message'), $what);
        }
        $make('QA-VFC', '2026-05-06', 'Skarnholm bay 1')->assertCreated();
    }

    public function test_whoever_works_on_the_apron_is_not_free_in_the_bays(): void
    {
        $bay = $this->visit('QA-VFE', ['27-11'], '2026-05-06', '2026-05-08', 'Skarnholm bay 3');
        $hangar = app(HangarHours::class);
        $free = fn(): int => (int) array_sum(
            $hangar->free($bay, $hangar->of($bay, Instant::parse('2026-05-06T00:00:00Z')))['*'],
        );
        $before = $free();
        $apron = $this->visit('QA-VFC', ['53-11', '53-12'], '2026-05-06', '2026-05-08', 'line');
        self::assertLessThan($before, $free());
        Card::where('visit_id', $apron->id)->update(['planned_start' => null]);
        self::assertSame($before, $free());
    }

    public function test_a_bay_that_is_not_in_the_list_has_the_usual_hours_at_the_aircrafts_base(): void
    {
        $visit = $this->visit('Q-402', ['53-42', '62-22'], '2026-05-06', '2026-05-08', 'line');
        $hangar = app(HangarHours::class);
        self::assertSame('Port Ellery', $hangar->base($visit));
        $hours = $hangar->of($visit, Instant::parse('2026-05-06T00:00:00Z'));
        self::assertSame('2026-05-06T04:00:00Z', (string) $hours->begins(0));
        self::assertSame(0, $visit->cards()->whereNull('planned_start')->count());
        foreach ($hangar->free($visit, $hours) as $skill => $free) {
            self::assertLessThanOrEqual(max($hours->people()[$skill]), max($free), $skill);
        }
    }

    public function test_what_is_in_work_keeps_on_when_a_visit_is_planned_again(): void
    {
        $work = Card::where(['visit_id' => 1, 'state' => Card::IN_WORK])->orderBy('id')->get();
        self::assertNotEmpty($work);
        // What is in work elsewhere has its people; what is only planned there, on the apron too, takes nobody from it.
        Card::where('visit_id', '!=', 1)->where('state', Card::IN_WORK)->update(['state' => Card::OPEN]);
        $visit = Visit::with('aircraft.type')->findOrFail(1);
        $version = VisitPlan::findOrFail(1)->version;
        app(PlanVisit::class)($visit, $this->person('ines'), 'again');
        self::assertSame($version + 1, VisitPlan::findOrFail(1)->version);
        $now = app(Clock::class)->now();
        foreach ($work as $card) {
            $card->refresh();
            // At once, or, where the shift has not hands for all that is begun, before anything that is not.
            $next = Card::where(['visit_id' => 1, 'state' => Card::OPEN, 'skill' => $card->skill])->get()
                ->min(static fn(Card $c): int => $c->planned_start->epoch());
            self::assertLessThanOrEqual(
                max($now->epoch() + 1800, $next),
                $card->planned_start->epoch(),
                "{$card->number} goes on first",
            );
        }
        self::assertLessThanOrEqual(
            $now->epoch() + 1800,
            $work->min(static fn(Card $c): int => $c->planned_start->epoch()),
        );
        self::assertStringStartsWith(
            'again: ',
            (string) $this->as('mika', 'GET', $this->block('/progress'))->json('days.6.why'),
        );
    }

    public function test_a_panel_that_was_closed_is_opened_and_closed_again_for_a_fix(): void
    {
        $visit = $this->visit('QA-VFC', ['53-11'], '2026-05-05', '2026-05-08', 'Skarnholm bay 2');
        $look = $visit->cards()->whereNotNull('item_id')->firstOrFail();
        self::assertSame(['111AL', '112AR', '121AL'], $look->panels);
        self::assertSame(
            ['close:111AL', 'close:112AR', 'close:121AL', 'open:111AL', 'open:112AR', 'open:121AL'],
            $visit->cards()->whereNotNull('makes')->pluck('makes')->sort()->values()->all(),
        );
        $visit->cards()->whereIn('makes', ['open:111AL', 'open:112AR', 'close:111AL', 'open:121AL', 'close:121AL'])
            ->update(['state' => Card::CLOSED]);
        $look->update(['state' => Card::CLOSED]);
        $finding = Finding::create([
            'aircraft_id' => $visit->aircraft_id, 'card_id' => $look->id, 'raised_by' => $this->person('oda')->id,
            'number' => 'F0700', 'chapter' => '53', 'place' => 'frame 3', 'extent' => 'dent', 'state' => 'open',
            'raised_at' => '2026-05-05T12:00:00Z',
        ]);
        $fix = app(MakeFixCard::class)($this->person('ines'), $finding, 9.0);
        $open = $visit->cards()->where('state', Card::OPEN)->whereNotNull('makes')->pluck('makes')->sort()->values()
            ->all();
        self::assertSame(
            ['close:111AL', 'close:112AR', 'close:121AL', 'fix', 'open:111AL', 'open:121AL'],
            $open,
            'the one that is still open is not opened twice',
        );
        self::assertSame([['airframe' => 2], 9.0], [$fix->needs, $fix->hours], 'a long fix takes two');
        $waits = $fix->waitsFor()->pluck('makes', 'cards.id')->all();
        self::assertContains('open:111AL', $waits);
        self::assertArrayHasKey($look->id, $waits);
        $closer = $visit->cards()->where(['makes' => 'close:111AL', 'state' => Card::OPEN])->firstOrFail();
        self::assertContains($fix->id, $closer->waitsFor()->pluck('cards.id')->all());
    }

    /** @return iterable<string, array{string, string}> what is done to the finding first, what is said */
    public static function noFix(): iterable
    {
        yield 'fixed already' => ['fixed', 'Finding F0700 is already fixed.'];
        yield 'the visit is over' => [
            'released', 'The visit in which F0700 was found is released. Take it into the next visit.',
        ];
        yield 'no template' => [
            'template', 'There is no card template for fixing a finding of this type. Add one in Library.',
        ];
    }

    #[DataProvider('noFix')]
    public function test_a_finding_that_can_have_no_card_says_why(string $case, string $said): void
    {
        $card = Card::where('visit_id', 3)->firstOrFail();
        $finding = Finding::create([
            'aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'raised_by' => $this->person('oda')->id,
            'number' => 'F0700', 'chapter' => '53', 'place' => 'frame 3', 'extent' => 'dent',
            'state' => $case === 'fixed' ? 'fixed' : 'open', 'raised_at' => '2026-05-05T12:00:00Z',
        ]);
        if ($case === 'released') {
            Visit::whereKey(3)->update(['state' => Visit::RELEASED]);
        }
        if ($case === 'template') {
            CardTemplate::where('makes', 'fix')->update(['makes' => null]);
        }
        $count = Card::count();
        $this->as('ines', 'POST', "findings/{$finding->id}/card", ['hours' => 3])->assertStatus(422)
            ->assertJsonPath('message', $said);
        self::assertSame($count, Card::count());
    }

    public function test_parts_go_to_the_visit_that_needs_them_first(): void
    {
        $packing = Part::where('number', 'JV-3242-11')->firstOrFail();
        $packing->batches()->update(['quantity' => 4]);
        $packing->orders()->delete();
        $short = static function (Visit $visit): array {
            $visit->load(['aircraft.type', 'cards.parts.part']);

            return array_merge(...array_values(app(ShowShortages::class)->of($visit, $visit->cards)) ?: [[]]);
        };
        $late = Visit::findOrFail(3);
        self::assertSame([], $short($late), 'enough for one');
        $soon = $this->visit('QA-VFC', ['32-42'], '2026-05-07', '2026-05-08', 'Skarnholm bay 2');
        self::assertSame([], $short($soon), 'the earlier visit has them');
        self::assertSame(
            ['4 × JV-3242-11 Brake packing: not in the store and none on order. Order it.'],
            $short($late),
        );
        Part::where('number', 'JV-3242-11')->firstOrFail()->orders()
            ->create(['quantity' => 4, 'expected' => '2026-05-23']);
        self::assertSame(
            ['JV-3242-11 Brake packing comes on Sat 23 May, after the card begins. Move the card, or press the order.'],
            $short($late),
        );
    }

    public function test_a_tool_kind_of_which_none_is_good_and_people_who_lapse_are_said_ahead(): void
    {
        $visit = $this->visit('QA-VFC', ['61-21'], '2026-05-11', '2026-05-12', 'Skarnholm bay 2');
        $short = function () use ($visit): array {
            $card = $this->as('oda', 'GET', "visits/{$visit->id}")->json('cards.0');

            return $card['short'];
        };
        self::assertSame([], $short());
        Tool::where('kind', 'pressure gauge')->update(['cal_due' => '2026-05-10']);
        self::assertSame(
            ['no pressure gauge in calibration on that day: the last runs out on Sun 10 May. Have one calibrated.'],
            $short(),
        );
        Tool::where('kind', 'pressure gauge')->update(['state' => 'calibration']);
        self::assertSame(['no pressure gauge in calibration on that day. Have one calibrated.'], $short());
        Qualification::where(['kind' => 'skill', 'value' => 'engine'])->update(['valid_until' => '2026-05-10']);
        self::assertContains(
            'nobody with engine and a SKV rating is at work on Mon 11 May. Move the card, or ask for somebody.',
            $short(),
        );
    }

    public function test_a_hangar_without_free_stretches_says_so(): void
    {
        BaySlot::query()->delete();
        self::assertSame(
            'No bay has a free slot. Open one where an aircraft could stand.',
            $this->as('ines', 'GET', 'bays')->json('sentence'),
        );
    }

    public function test_the_making_safe_is_taken_back_by_the_last_look(): void
    {
        $visit = $this->visit('QA-VFC', ['53-11', '53-12', '53-13'], '2026-05-05', '2026-05-08', 'Skarnholm bay 2');
        $work = function (string $makes) use ($visit): void {
            $card = $visit->cards()->where('makes', $makes)->firstOrFail();
            $this->assign($card, 'oda')->assertOk();
            foreach ($card->steps as $step) {
                $this->as('oda', 'POST', "cards/{$card->id}/steps/{$step->no}", [
                    'version' => $card->refresh()->version, 'do' => 'done',
                ])->assertOk();
            }
            $this->as('oda', 'POST', "cards/{$card->id}/sign", [
                'version' => $card->refresh()->version, 'stamp' => 'T27', 'pin' => '2741',
            ])->assertOk();
        };
        $fitted = static fn(): int
            => SafingDevice::where('aircraft_id', $visit->aircraft_id)->whereNull('removed_at')->count();
        $work('induct');
        $work('safe');
        self::assertSame(2, $fitted());
        $rest = $visit->cards()->whereNotIn('makes', ['induct', 'safe', 'last'])
            ->orWhere(static fn($q) => $q->where('visit_id', $visit->id)->whereNull('makes'));
        Step::whereIn('card_id', $rest->pluck('id'))->update(['state' => Step::DONE]);
        Card::whereIn('id', $rest->pluck('id'))->update(['state' => Card::CLOSED]);
        $work('last');
        self::assertSame(0, $fitted(), 'nothing is left in it');
        self::assertSame($visit->cards()->count(), $visit->cards()->where('state', Card::CLOSED)->count());
    }
}
