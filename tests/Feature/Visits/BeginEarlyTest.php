<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Crew\Model\Person;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Tests\Feature\WorldCase;

/** A visit of next week is not begun by a tap on a card: it is begun by name, and then the aircraft stands. */
final class BeginEarlyTest extends WorldCase
{
    private Visit $visit;

    private Card $card;

    private Person $oda;

    protected function setUp(): void
    {
        parent::setUp();
        $row = DB::table('cards')->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->where('visits.state', Visit::PLANNED)->where('visits.start', '>', '2026-05-06')
            ->whereNotIn('cards.id', DB::table('card_waits')->select('card_id'))->orderBy('cards.id')
                ->first(['cards.id']);
        $this->card = Card::with('visit.aircraft')->findOrFail($row?->id);
        $this->visit = $this->card->visit;
        $this->oda = $this->person('oda');
        Assignment::firstOrCreate(['card_id' => $this->card->id, 'person_id' => $this->oda->id, 'role' => 'perform']);
    }

    /** @return array{string, string, int} the visit's state and first day, and its card's version */
    private function now(): array
    {
        $this->visit->refresh();

        return [$this->visit->state->value, (string) $this->visit->start, (int) $this->card->refresh()->version];
    }

    public function test_its_cards_are_stays_until_it_is_begun_by_name(): void
    {
        $before = $this->now();
        $view = $this->as('oda', 'GET', "cards/{$this->card->id}")->assertOk()->json();
        self::assertStringContainsString('is planned to begin on', $view['held']);
        self::assertContains('begin', $view['may']);
        $step = ['version' => $view['version'], 'do' => 'done'];
        self::assertStringContainsString(
            'begin the visit first',
            $this->as('oda', 'POST', "cards/{$this->card->id}/steps/1", $step)->assertStatus(422)->json('message'),
        );
        self::assertSame($before, $this->now());

        $this->as('mika', 'POST', "visits/{$this->visit->id}/begin")->assertForbidden();
        $this->as('oda', 'POST', "visits/{$this->visit->id}/begin")->assertOk();
        self::assertSame(['in_work', '2026-05-05'], array_slice($this->now(), 0, 2));
        $after = $this->as('oda', 'GET', "cards/{$this->card->id}")->assertOk()->json();
        self::assertSame([null, false], [$after['held'], in_array('begin', $after['may'], true)]);
        $this->as('oda', 'POST', "visits/{$this->visit->id}/begin")->assertStatus(422);
    }

    public function test_from_then_on_the_aircraft_stands_for_everybody(): void
    {
        $mark = $this->visit->aircraft->mark;
        $this->as('oda', 'POST', "visits/{$this->visit->id}/begin")->assertOk();
        $row = array_column((array) $this->as('ines', 'GET', 'fleet')->json('rows'), null, 'mark')[$mark];
        self::assertSame(['waiting', 0], [$row['state'], $row['visits'][0]['from']]);
        self::assertStringContainsString(
            "is in \"{$this->visit->title}\"",
            $this->as('ines', 'GET', "fleet/{$mark}")->json('sentence'),
        );
        self::assertStringContainsString('stands in a visit', implode(
            ' ',
            $this->as('ines', 'POST', "fleet/{$mark}/flying", [
                'date' => '2026-05-05', 'flown' => ['fh' => '1', 'ldg' => '1'],
            ])->json('asked'),
        ));
        self::assertStringContainsString(
            "Oda Fenn began \"{$this->visit->title}\"",
            (string) DB::table('notices')->where('person_id', $this->person('ines')->id)->value('said'),
        );
        self::assertSame(
            1,
            DB::table('records')->where(['what' => 'visit.begun_early', 'subject' => "visit:{$this->visit->id}"])
                ->count(),
        );
        self::assertGreaterThanOrEqual(
            '2026-05-05T12:20:00Z',
            (string) $this->card->refresh()->planned_start,
            'planned anew, from now on',
        );
        self::assertLessThan(
            '2026-05-07',
            (string) DB::table('cards')->where('visit_id', $this->visit->id)->min('planned_start'),
        );
    }

    public function test_an_aircraft_stands_in_one_visit_at_a_time(): void
    {
        Visit::create([
            'aircraft_id' => $this->visit->aircraft_id, 'title' => 'Tyre change', 'bay' => 'line',
            'start' => '2026-05-05', 'end' => '2026-05-05', 'state' => Visit::IN_WORK,
        ]);
        $before = $this->now();
        self::assertStringContainsString(
            'QA-VFB is already in "Tyre change"',
            $this->as('oda', 'POST', "visits/{$this->visit->id}/begin")->assertStatus(422)->json('message'),
        );
        self::assertSame($before, $this->now());
    }
}
