<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Visits\Model\PastVisit;
use App\Visits\Model\Visit;
use Tests\Feature\WorldCase;

/** How much a look still turns up, whether it can be fixed in time, and how a visit comes along. */
final class WindowTest extends WorldCase
{
    public function test_the_windows_tell_the_story_and_can_be_judged_otherwise(): void
    {
        $window = $this->as('ines', 'GET', $this->block('/window'))->json();
        self::assertSame('watch', $window['verdict']);
        self::assertStringContainsString('act while there is time. 34 findings so far', $window['sentence']);
        self::assertSame(7, count($window['days']));
        self::assertSame([34, $window['chance']], [end($window['days'])['found'], end($window['days'])['chance']]);
        // What was to be expected of such a look, by the type's past: 27.
        $forecast = ($window['lookDone'] + $window['lookLeft']) * $window['perHundred'] / 100;
        self::assertEqualsWithDelta(27, $forecast, 0.5);
        self::assertEqualsWithDelta(0.71, $window['chance'], 0.08);
        foreach ($window['levers'] as $lever) {
            self::assertGreaterThanOrEqual($window['chance'], $lever['chance'], $lever['what']);
            self::assertTrue($lever['links'] !== [] || $lever['until'] === '2026-05-15', 'each can be done somewhere');
        }
        $levers = array_column($window['levers'], 'links', 'what');
        self::assertSame(
            [['to' => '/crew/shift?base=Skarnholm&date=2026-05-10', 'words' => 'Sun 10 May']],
            $levers['An early shift on 1 Sunday'],
        );
        $judge = fn(mixed $prior, ?string $look = '2026-05-09') => $this->as('ines', 'POST', $this->block('/window'), [
            'look_until' => $look, 'prior' => $prior, 'reason' => 'an old aircraft',
        ]);
        $worse = $judge(['per_hundred' => 30, 'worth_hours' => 200])->assertOk()->json();
        self::assertGreaterThan($window['expectedMore'], $worse['expectedMore']);
        self::assertLessThan($window['chance'], $worse['chance']);
        self::assertSame(['Set by Ines Maro (C01): an old aircraft', '2026-05-09'], [
            $worse['byHand'], $worse['lookUntil'],
        ]);
        self::assertSame(
            $window['chance'],
            $judge(null, '2026-05-11')->assertOk()->json('chance'),
            'back to the history',
        );
        $judge(null, '2026-06-11')->assertStatus(422)->assertJsonPath(
            'message',
            'The look window must end between Wed 29 Apr and Thu 14 May. Nothing was saved.',
        );
        $judge(['per_hundred' => -1, 'worth_hours' => 5])->assertStatus(422);
        $this->as('ines', 'POST', $this->block('/window'), ['look_until' => null, 'prior' => null, 'reason' => ''])
            ->assertStatus(422)->assertJsonValidationErrors('reason');
    }

    public function test_progress_adds_up(): void
    {
        $p = $this->as('mika', 'GET', $this->block('/progress'))->json();
        $closed = Card::where('visit_id', 1)->whereNotNull('closed_at')->get();
        self::assertSame($closed->count(), array_sum(array_column($p['days'], 'closed')));
        self::assertEqualsWithDelta($closed->sum('spent'), array_sum(array_column($p['days'], 'spent')), 1e-6);
        self::assertSame(
            Finding::whereIn('card_id', Card::where('visit_id', 1)->pluck('id'))->count(),
            array_sum(array_column($p['days'], 'raised')),
        );
        self::assertSame($p['openFindings'], end($p['days'])['openFindings']);
        self::assertSame('watch', $p['verdict'], 'a third more than planned');
        self::assertSame(
            [],
            $this->as('mika', 'GET', $this->visitCalled('12-month check', '/progress'))->json('days'),
            'not begun',
        );
    }

    public function test_a_released_visit_teaches_the_next(): void
    {
        $before = PastVisit::count();
        $visit = Visit::findOrFail(3);
        Card::where('visit_id', 3)->update(['state' => Card::CLOSED, 'spent' => 5]);
        Step::whereIn('card_id', Card::where('visit_id', 3)->pluck('id'))->update(['state' => Step::DONE]);
        Card::where(
            ['visit_id' => 3, 'independent_inspection' => true],
        )->update(['inspected_by' => $this->person('runa')->id]);
        $this->as('tor', 'POST', 'release/3', ['stamp' => 'X02', 'pin' => '5520'])->assertOk();
        $past = PastVisit::orderByDesc('id')->firstOrFail();
        self::assertSame([$before + 1, 3, 0], [PastVisit::count(), $past->visit_id, $past->findings]);
        self::assertSame((float) $visit->cards()->where('stage', 'look')->sum('hours'), $past->hours);
    }
}
