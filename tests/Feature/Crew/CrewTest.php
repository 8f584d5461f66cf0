<?php

declare(strict_types=1);

namespace Tests\Feature\Crew;

use App\Crew\Model\Qualification;
use App\Crew\Model\RotaDay;
use App\Crew\Model\ShiftCrew;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** Who works what on a shift, who is away, and what lapses. */
final class CrewTest extends WorldCase
{
    private const SHIFT = ['base' => 'Skarnholm', 'date' => '2026-05-05', 'shift' => 'late'];

    /**
     * @param array<string, string> $more
     *
     * @return array<string, mixed>
     */
    private function shift(array $more = []): array
    {
        return $this->as('ines', 'GET', 'crew/shift?'.http_build_query([...self::SHIFT, ...$more]))->assertOk()->json();
    }

    /**
     * @param array<string, mixed> $view
     *
     * @return array<string, int>
     */
    private static function places(array $view): array
    {
        return array_filter(array_column($view['slots'], 'person', 'id'));
    }

    public function test_the_open_places_are_filled_and_kept_and_everyone_is_on_their_cards(): void
    {
        $now = $this->shift();
        self::assertGreaterThan(5, count($now['slots']));
        self::assertFalse($now['saved']);
        $filled = $this->as('ines', 'POST', 'crew/shift/propose', [...self::SHIFT, 'places' => self::places($now)])
            ->assertOk()->json();
        foreach (self::places($now) as $slot => $person) {
            self::assertSame($person, self::places($filled)[$slot], 'whom the controller placed stays');
        }
        self::assertGreaterThan(count(self::places($now)), count(self::places($filled)));
        foreach ($filled['slots'] as $slot) {
            self::assertNull($slot['conflict'], $slot['id']);
            self::assertCount(18, $slot['candidates']);
            if ($slot['person'] === null) {
                self::assertNotContains(
                    null,
                    array_column($slot['candidates'], 'why'),
                    "{$slot['id']} stays open though somebody could take it",
                );
            }
        }
        foreach ($filled['slots'] as $slot) {
            foreach ($filled['slots'] as $other) {
                $both = $slot['id'] < $other['id'] && $slot['role'] === 'perform' && $other['role'] === 'perform'
                    && $slot['person'] !== null && $slot['person'] === $other['person'];
                self::assertFalse(
                    $both && $slot['from'] < $other['until'] && $other['from'] < $slot['until'],
                    "{$slot['id']} and {$other['id']} at one time",
                );
            }
        }
        self::assertFalse(ShiftCrew::query()->exists(), 'a proposal saves nothing');
        $this->as('ines', 'POST', 'crew/shift', [...self::SHIFT, 'version' => 0, 'places' => self::places($filled)])
            ->assertOk()->assertJsonPath('saved', true)->assertJsonPath('version', 1);
        $this->as('ines', 'POST', 'crew/shift', [...self::SHIFT, 'version' => 0, 'places' => []])->assertStatus(409);
        foreach (self::places($filled) as $slot => $person) {
            if (! str_starts_with($slot, 'v')) {
                self::assertTrue(
                    Assignment::where(['card_id' => (int) $slot, 'person_id' => $person])->exists(),
                    $slot,
                );
            }
        }
        // Taken out again: off the card too, unless they have worked on it.
        $gear = Card::where('title', 'Gear extension by hand pump')->whereNot('state', Card::CLOSED)->firstOrFail();
        $this->as('ines', 'POST', 'crew/shift', [...self::SHIFT, 'version' => 1, 'places' => []])->assertOk();
        self::assertSame(
            [$this->person('oda')->id],
            Assignment::where('card_id', $gear->id)->where('role', 'perform')->pluck('person_id')->all(),
        );
    }

    public function test_a_place_that_cannot_stand_is_refused_with_why_and_nothing_is_kept(): void
    {
        $slots = array_column($this->shift()['slots'], null, 'id');
        $inspect = array_values(
            array_filter(array_keys($slots), static fn(string $id): bool => str_contains($id, ':duplicate:')),
        )[0];
        $card = (int) $inspect;
        $work = array_values(
            array_filter(array_keys($slots), static fn(string $id): bool => str_starts_with($id, "{$card}:perform")),
        )[0];
        $runa = $this->person('runa')->id;
        $why = fn(array $places): array => array_column(
            $this->as('ines', 'POST', 'crew/shift', [...self::SHIFT, 'version' => 0, 'places' => $places])
                ->assertStatus(422)->json('lines'),
            'message',
        );
        self::assertSame(
            [
                'Runa Vale would not be independent: has worked on this card or is assigned to it in the other role',
                'Runa Vale would not be independent: has worked on this card or is assigned to it in the other role',
            ],
            $why([$work => $runa, $inspect => $runa]),
        );
        self::assertSame(['Jory Falk has no OLN rating'], $why([$work => $this->person('jory')->id]));
        self::assertSame(
            ['Oda Fenn has no authority to inspect independently'],
            $why([$inspect => $this->person('oda')->id]),
        );
        $same = array_values(
            array_filter($slots, static fn(array $s): bool => $s['mark'] === 'QA-VFA'
                && str_contains($s['id'], ':perform:airframe:')),
        );
        [$a, $b] = collect($same)->crossJoin($same)->first(
            static fn(array $two): bool => $two[0]['number'] < $two[1]['number']
                && $two[0]['from'] < $two[1]['until'] && $two[1]['from'] < $two[0]['until'],
        );
        self::assertSame(
            [
                "Bram Oster is on {$b['number']} {$b['title']} at that time",
                "Bram Oster is on {$a['number']} {$a['title']} at that time",
            ],
            $why([$a['id'] => $this->person('bram')->id, $b['id'] => $this->person('bram')->id]),
        );
        self::assertSame(['this is no longer a place of the shift'], $why(['999:perform:airframe:1' => $runa]));
        self::assertSame(0, ShiftCrew::query()->where('version', '>', 0)->count());
        $judged = $this->as('ines', 'POST', 'crew/shift/propose', [
            ...self::SHIFT, 'fill' => false, 'places' => [$work => $runa, $inspect => $runa],
        ])->assertOk()->json();
        self::assertStringContainsString('cannot stand as saved', $judged['sentence']);
        self::assertStringContainsString(
            'would not be independent',
            array_column($judged['slots'], 'conflict', 'id')[$inspect],
        );
    }

    public function test_whomever_the_controller_placed_what_is_filled_around_them_stands_and_leaves_nothing_open_that_could_be_taken(): void
    {
        $view = $this->shift();
        mt_srand(5);
        for ($n = 0; $n < 12; $n++) {
            // Some places at chance, also such as cannot stand together.
            $fixed = [];
            foreach ($view['slots'] as $slot) {
                if (mt_rand(0, 2) === 0) {
                    $fixed[$slot['id']] = $slot['candidates'][mt_rand(0, count($slot['candidates']) - 1)]['person'];
                }
            }
            $filled = $this->as('ines', 'POST', 'crew/shift/propose', [...self::SHIFT, 'places' => $fixed])->assertOk()
                ->json();
            foreach ($filled['slots'] as $slot) {
                self::assertNull($slot['conflict'], "{$n}: {$slot['id']}");
                if ($slot['person'] === null) {
                    $name = array_column($filled['people'], null, 'id');
                    $could = array_filter(
                        $slot['candidates'],
                        static fn(array $c): bool => $c['why'] === null && ! $name[$c['person']]['trainee'],
                    );
                    self::assertSame([], $could, "{$n}: {$slot['id']} stays open though somebody could take it");
                }
            }
        }
    }

    public function test_a_trainee_is_placed_after_the_supervisor_and_falls_with_them(): void
    {
        $flaps = Card::where('title', 'Flap travel timing')->where('state', Card::IN_WORK)->firstOrFail();
        [$one, $two] = ["{$flaps->id}:perform:airframe:1", "{$flaps->id}:perform:airframe:2"];
        [$stig, $lio] = [$this->person('stig')->id, $this->person('lio')->id];
        $judge = fn(array $places): array => array_column(
            $this->as('ines', 'POST', 'crew/shift/propose', [...self::SHIFT, 'fill' => false, 'places' => $places])
                ->assertOk()->json('slots'),
            'conflict',
            'id',
        );
        self::assertSame(
            [null, null],
            [$judge([$two => $lio, $one => $stig])[$one], $judge([$two => $lio, $one => $stig])[$two]],
            'in whatever order they come',
        );
        self::assertStringContainsString('the supervisor must be on the card', (string) $judge([$two => $lio])[$two]);
        $this->as('ines', 'POST', 'crew/shift', [
            ...self::SHIFT, 'version' => 0, 'places' => [$one => $stig, $two => $lio],
        ])->assertOk();
        self::assertSame(
            [$stig],
            Assignment::where(['card_id' => $flaps->id, 'role' => 'trainee'])->pluck('under_id')->all(),
        );
        $alone = $this->as('ines', 'POST', 'crew/shift/propose', [...self::SHIFT, 'places' => [$two => $lio]])
            ->assertOk()->json('slots');
        self::assertNotSame(
            $lio,
            array_column($alone, 'person', 'id')[$two],
            'without the supervisor the place is filled by somebody else',
        );
    }

    public function test_the_inspection_that_nobody_on_shift_may_do_is_named_person_by_person(): void
    {
        $view = $this->shift(['base' => 'Port Ellery', 'date' => '2026-05-06', 'shift' => 'early']);
        $slot = array_column($view['slots'], null, 'role')['duplicate'];
        $why = [];
        foreach ($slot['candidates'] as $c) {
            $why[array_column($view['people'], 'name', 'id')[$c['person']]] = $c['why'];
        }
        self::assertSame([
            'Aki Brandt' => 'has no authority to inspect independently',
            'Hald Mersey' => 'would not be independent: has worked on this card or is assigned to it in the other role',
            'Ivo Sand' => 'has no authority to inspect independently',
            'Karl Vinje' => 'has no authority to inspect independently',
            'Lena Torv' => 'has no authority to inspect independently',
            'Odin Resk' => 'has no authority to inspect independently', 'Wenna Skye' => 'is off sick',
        ], $why);
        self::assertStringContainsString(
            '2 places stay open, first the independent inspection of 002-01',
            $view['sentence'],
            'and the certificate',
        );
        $filled = $this->as('ines', 'POST', 'crew/shift/propose', [
            'base' => 'Port Ellery', 'date' => '2026-05-06', 'shift' => 'early', 'places' => self::places($view),
        ])->assertOk()->json();
        self::assertSame([null, null], [
            array_column($filled['slots'], 'person', 'role')['duplicate'],
            array_column($filled['slots'], 'person', 'role')['certify'],
        ]);
    }

    public function test_leave_takes_people_out_of_shifts_and_of_the_hangar_s_hours(): void
    {
        $cora = $this->person('cora');
        $there = fn(string $date): bool
            => array_column($this->shift(['date' => $date])['people'], 'there', 'id')[$cora->id];
        self::assertSame([true, false], [$there('2026-05-08'), $there('2026-05-11')]);
        $this->as('ines', 'POST', "crew/{$cora->id}/days", [
            'from' => '2026-05-11', 'until' => '2026-05-12', 'do' => 'clear',
        ])->assertOk();
        self::assertSame([true, true, false], [$there('2026-05-11'), $there('2026-05-12'), $there('2026-05-13')]);
        $this->as('ines', 'POST', "crew/{$cora->id}/days", [
            'from' => '2026-05-11', 'until' => '2026-05-12', 'do' => 'clear',
        ])->assertStatus(422);
        $days = array_column($this->as('mika', 'GET', 'crew')->json('people'), 'away', 'id')[$cora->id];
        self::assertSame([['from' => '2026-05-13', 'until' => '2026-05-15', 'shift' => null, 'why' => 'leave']], $days);
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function wrongDays(): iterable
    {
        yield 'gone by' => [
            ['from' => '2026-05-04', 'until' => '2026-05-06', 'do' => 'away', 'why' => 'leave'], 'Days gone by',
        ];
        yield 'backwards' => [
            ['from' => '2026-05-08', 'until' => '2026-05-06', 'do' => 'away', 'why' => 'leave'], 'lies before',
        ];
        yield 'too many' => [
            ['from' => '2026-05-08', 'until' => '2026-12-06', 'do' => 'away', 'why' => 'leave'], 'At most 92 days',
        ];
        yield 'too little rest' => [
            ['from' => '2026-05-08', 'until' => '2026-05-08', 'do' => 'shift', 'shift' => 'early', 'why' => 'swap'],
            'only 8 h of rest before Fri 8 May, 06:00, at least 11 h are due',
        ];
    }

    /** @param array<string, string> $body */
    #[DataProvider('wrongDays')]
    public function test_days_that_cannot_be(array $body, string $why): void
    {
        $before = RotaDay::count();
        self::assertStringContainsString(
            $why,
            $this->as('ines', 'POST', "crew/{$this->person('oda')->id}/days", $body)->assertStatus(422)
                ->json('message'),
        );
        self::assertSame($before, RotaDay::count());
    }

    public function test_a_lapse_tells_which_planned_cards_it_hits(): void
    {
        $oda = $this->person('oda');
        $hits = fn(): array => array_column(
            array_values(array_filter(
                $this->as('ines', 'GET', 'crew')->json('lapses'),
                static fn(array $l): bool => $l['personId'] === $oda->id,
            ))[0]['hits'] ?? [],
            'number',
        );
        self::assertSame([], $hits());
        self::assertStringContainsString(
            'Sanne Dorn',
            $this->as('ines', 'GET', 'crew')->json('sentence'),
            'the demo world\'s own story',
        );
        $block = Card::where('title', 'Flight deck and below its floor (Block check)')->firstOrFail();
        $block->update(['planned_end' => '2026-05-06T10:00:00Z']);
        $last = substr((string) $block->planned_end, 0, 10);
        Qualification::where(['person_id' => $oda->id, 'value' => 'SKV'])->update(['valid_until' => $last]);
        self::assertSame([], $hits(), 'the last day itself is still valid');
        Qualification::where(['person_id' => $oda->id, 'value' => 'SKV'])->update(['valid_until' => '2026-05-05']);
        self::assertSame([$block->number], $hits());
        self::assertStringContainsString(
            'cannot be worked as assigned',
            $this->as('ines', 'GET', 'crew')->json('sentence'),
        );
        DB::table('cards')->where('id', $block->id)->update(['state' => Card::CLOSED]);
        self::assertSame([], $hits());
    }
}
