<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Bench\Do\RigPrior;
use App\Bench\Model\RigLesson;
use App\Bench\Model\RigRun;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\Exchange;
use App\Floor\Model\Reading;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Release\Do\FreezeCertificate;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Bench\Rigging\RigModel;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\GovernorCard;
use Tests\Feature\WorldCase;

/** A rigging sheet through the doors: as-found in, what to turn out, as-left in, until everything is within. */
final class RigTest extends WorldCase
{
    use GovernorCard;

    private Card $card;

    private int $no;

    protected function setUp(): void
    {
        parent::setUp();
        $this->card = $this->governorCard();
        $this->no = (int) Step::where(['card_id' => $this->card->id, 'kind' => 'rig'])->value('no');
        Step::where('card_id', $this->card->id)->where('no', '<', $this->no)->update(['state' => Step::DONE]);
        // As plain as a sheet can be, of an aircraft and a fleet that were never rigged.
        $step = Step::where(['card_id' => $this->card->id, 'no' => $this->no])->firstOrFail();
        $step->update(['spec' => array_diff_key($step->spec, ['requires' => [], 'drawing' => []])]);
        RigLesson::query()->delete();
    }

    /**
     * @param array<string, string> $entries
     *
     * @return TestResponse<Response>
     */
    private function enter(string $do, array $entries, string $tool = 'PR-06'): TestResponse
    {
        return $this->work($this->card, $this->no, $do, ['entries' => $entries, 'tool' => $tool]);
    }

    /** @return array<string, mixed> the step as the card shows it */
    private function shown(): array
    {
        return array_column(
            (array) $this->as('oda', 'GET', "cards/{$this->card->id}")->assertOk()->json('steps'),
            null,
            'no',
        )[$this->no];
    }

    public function test_what_is_found_outside_is_turned_and_read_again_until_it_is_within(): void
    {
        $tool = $this->tool();
        $this->enter('as_found', ['high' => '65.5', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        $run = $this->shown()['runs'][0];
        self::assertSame(
            [1, 'turn', ['screw'], 'clockwise'],
            [
                $run['no'], $run['verdict'], array_column($run['moves'], 'adjuster'),
                substr($run['moves'][0]['said'], -9),
            ],
        );
        self::assertStringContainsString('the book', $run['story']);
        // Read again before anybody said what was turned: nobody knows what these readings mean.
        $left = array_map(
            static fn(float|int $v): string => (string) (round($v * 2) / 2),
            array_column($run['points'], 'next', 'id'),
        );
        $this->enter('as_left', $left, $tool)->assertStatus(422)->assertSee('Enter first what was turned');
        $this->enter('turned', ['screw' => (string) $run['moves'][0]['amount']])->assertOk();
        // What the sheet predicts of these turns is read at the arm: done.
        $this->enter('as_left', $left, $tool)->assertOk();
        self::assertSame('done', $this->shown()['state']);
        $stands = Reading::where(['card_id' => $this->card->id, 'stands' => true])->pluck('kind', 'point')->all();
        self::assertEquals(array_fill_keys(array_keys($left), ReadingKind::AsLeft), $stands);
        self::assertSame(
            6,
            Reading::where('card_id', $this->card->id)->count(),
            'what was found is history, and stays',
        );
    }

    public function test_what_is_found_within_is_left_alone(): void
    {
        $tool = $this->tool();
        $this->enter('as_found', ['high' => '62.5', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        $shown = $this->shown();
        self::assertSame(['done', 'within', []], [
            $shown['state'], $shown['runs'][0]['verdict'], $shown['runs'][0]['moves'],
        ]);
        self::assertSame(3, Reading::where(['card_id' => $this->card->id, 'stands' => true])->count());
        self::assertSame(0, RigLesson::where('step_id', Step::where([
            'card_id' => $this->card->id, 'no' => $this->no,
        ])->value('id'))->count(), 'nothing was turned, and nothing learned');
    }

    public function test_what_is_left_outside_begins_another_run_that_has_learned(): void
    {
        $tool = $this->tool();
        $found = ['high' => '66.5', 'pickup' => '22', 'feather' => '86'];
        $this->enter('as_found', $found, $tool)->assertOk();
        $this->enter('as_found', $found, $tool)->assertStatus(422)
            ->assertJsonPath('message', 'The last run still waits for its as-left readings.');
        $this->enter('turned', ['screw' => '9'])->assertStatus(422)->assertSee('beyond its travel of -3 to 3');
        $this->enter('turned', ['crew' => '1'])->assertStatus(422)->assertSee('There is no adjuster crew');
        $this->enter('turned', ['screw' => 'a bit'])->assertStatus(422)->assertSee('is no number of turns');
        // Not what was advised, and that is what counts.
        $this->enter('turned', ['screw' => '2,25'])->assertOk();
        $this->enter('as_left', ['high' => '64.8', 'pickup' => '22.5', 'feather' => '86'], $tool)->assertOk();
        $shown = $this->shown();
        self::assertSame(['open', 2, 2], [$shown['state'], count($shown['runs']), $shown['runs'][1]['ground']]);
        $runs = $this->runs();
        self::assertEquals([$runs[0]->as_left, null], [$runs[1]->as_found, $runs[1]->as_left]);
        $learned = $runs[1]->solution['learned']['screw']['high'];
        self::assertEqualsWithDelta(-0.92, $learned['mean'], 0.05, 'it did less than the 1.1 of the book');
        self::assertStringContainsString('where the book says -1.1 ', (string) json_encode($shown['runs'][1]['notes']));
        // There is so much travel left, and no more.
        $this->enter('turned', ['screw' => '1'])->assertStatus(422)->assertSee('3.25 turns from where it stood');
    }

    public function test_a_reading_that_does_not_fit_is_read_again_in_the_same_run_before_anything_is_turned(): void
    {
        $tool = $this->tool();
        $this->enter('as_found', ['high' => '65', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        $this->enter('turned', ['screw' => '2'])->assertOk();
        $this->enter('as_left', ['high' => '66.5', 'pickup' => '22.5', 'feather' => '86'], $tool)->assertOk();
        $run = $this->shown()['runs'][1];
        self::assertSame(['read_again', []], [$run['verdict'], $run['moves']]);
        self::assertStringContainsString('high-speed stop does not fit what went before', $run['sentence']);
        self::assertSame([true, false, false], array_column($run['points'], 'doubted'));
        $this->enter('turned', ['screw' => '1'])->assertStatus(422)->assertSee('Read again before anything is turned');
        // It was misread.
        $this->enter('as_left', ['high' => '62.5', 'pickup' => '22.5', 'feather' => '86'], $tool)->assertOk();
        self::assertSame([1, 2], $this->runs()->pluck('ground')->all(), 'two ground runs, one of them read twice');
        $lessons = RigLesson::where('runs', 2)->where('aircraft_id', $this->card->aircraft_id);
        self::assertSame([true], $lessons->pluck('stands')->all());
        // Done once more it is a rigging of its own, and its ground runs count from one; what was learned stands.
        $this->work($this->card, $this->no, 'again', ['note' => 'after a hard landing'])->assertOk();
        $this->enter('as_found', ['high' => '65', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        $run = $this->shown()['runs'][2];
        self::assertSame([3, 1], [$run['no'], $run['ground']]);
        self::assertStringContainsString('when it was rigged on', $run['story']);
    }

    public function test_what_was_turned_is_put_right_and_what_was_learned_falls_with_an_entry_that_was_wrong(): void
    {
        $tool = $this->tool();
        $this->enter('as_found', ['high' => '65', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        $this->enter('turned', ['screw' => '1', 'rod' => '1'])->assertOk();
        $this->enter('turned', ['screw' => '2'])->assertOk();
        self::assertSame(['screw' => '2 turns clockwise'], $this->shown()['runs'][0]['turnedSaid']);
        $open = array_column((array) $this->as('oda', 'GET', "cards/{$this->card->id}")->json('notWhole'), 'what');
        self::assertSame(['High-speed screw'], $open, 'the rod was not turned after all');
        $this->enter('as_left', ['high' => '62.7', 'pickup' => '22.5', 'feather' => '86'], $tool)->assertOk();
        self::assertSame('done', $this->shown()['state']);
        self::assertSame([true], RigLesson::pluck('stands')->all());
        $this->work($this->card, $this->no, 'take_back', ['note' => 'the other engine was read'])->assertOk();
        self::assertSame([false], RigLesson::pluck('stands')->all());
        // Nothing was turned, and it is read again.
        $this->enter('as_found', ['high' => '65', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        self::assertStringContainsString('from the book', $this->shown()['runs'][1]['story']);
        $this->enter('turned', [])->assertOk();
        $this->enter('as_left', ['high' => '63.8', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        $run = $this->shown()['runs'][2];
        self::assertSame(['read_again', 1], [$run['verdict'], $run['ground']], 'one of the two was misread');
    }

    public function test_what_was_learned_stays_with_the_aircraft_then_with_the_fleet_until_a_unit_is_changed(): void
    {
        $step = Step::where(['card_id' => $this->card->id, 'no' => $this->no])->firstOrFail();
        $lesson = fn(int $aircraft, float $effect): RigLesson => RigLesson::create([
            'step_id' => $step->id, 'aircraft_id' => $aircraft, 'model' => RigPrior::model($step), 'runs' => 3,
            'effects' => ['screw' => ['high' => ['mean' => $effect, 'sd' => 0.05]]], 'at' => '2026-03-02T10:00:00Z',
        ]);
        $prior = fn(): array => app(RigPrior::class)->of($step->load('card.template'), RigModel::from($step->spec));
        $screw = fn(): array => array_map(
            static fn(float $v): float => round($v, 3),
            $prior()['effects']['screw']['high'],
        );
        self::assertEqualsWithDelta(-1.1, $screw()['mean'], 1e-9);
        $others = Aircraft::where('type_id', $this->card->aircraft->type_id)->whereKeyNot($this->card->aircraft_id)
            ->orderBy('id')->pluck('id');
        $lesson($others[0], -0.9);
        self::assertSame(['mean' => -0.9, 'sd' => 0.165], $screw(), 'one other alone is no surer than the book');
        $lesson($others[1], -1.3);
        self::assertSame(['mean' => -1.1, 'sd' => 0.283], $screw(), 'no surer than aircraft differ by');
        self::assertStringContainsString('2 others of the fleet', $prior()['story']);
        $lesson($this->card->aircraft_id, -0.8);
        self::assertSame(['mean' => -0.8, 'sd' => 0.05], $screw());
        self::assertStringContainsString($this->card->aircraft->mark.' showed when it was rigged', $prior()['story']);
        Exchange::create([
            'step_id' => $step->id, 'card_id' => $step->card_id, 'aircraft_id' => $this->card->aircraft_id,
            'position' => 'governor', 'why' => 'changed', 'on_at' => '2026-04-01T06:00:00Z', 'stands' => true,
            'hardware' => [],
        ]);
        self::assertSame(['mean' => -1.1, 'sd' => 0.283], $screw());
        self::assertStringContainsString('A unit was changed since', $prior()['story']);
    }

    public function test_what_must_hold_is_asked_before_anything_is_read_in_every_ground_run(): void
    {
        $step = Step::where(['card_id' => $this->card->id, 'no' => $this->no])->firstOrFail();
        $step->update(['spec' => [...$step->spec, 'ground' => [
            'budget' => 1, 'fuel_kg' => 40, 'cautions' => ['Propeller arc clear'],
        ], 'requires' => [
            ['id' => 'oil', 'title' => 'Oil temperature', 'unit' => 'C', 'min' => 60, 'max' => 95],
            ['id' => 'friction', 'title' => 'Friction set'],
        ]]]);
        $tool = $this->tool();
        $read = ['high' => '65.5', 'pickup' => '22', 'feather' => '86'];
        $this->enter('as_found', $read, $tool)->assertStatus(422)->assertSee('Before the run: Propeller arc clear.');
        $read['holds:cautions'] = 'yes';
        $this->enter('as_found', $read, $tool)->assertStatus(422)
            ->assertSee('Before anything is read: Oil temperature.');
        $cold = [...$read, 'holds:oil' => '41', 'holds:friction' => 'yes'];
        $this->enter('as_found', $cold, $tool)->assertStatus(422)->assertSee('it must lie within 60 and 95');
        $this->enter('as_found', [...$cold, 'holds:oil' => '72'], $tool)->assertOk();
        $run = $this->shown()['runs'][0];
        self::assertSame(['Cautions read out, crew in place', 'Oil temperature: 72 °C', 'Friction set'], $run['held']);
        self::assertContains('Ground run 1 of 1; each costs 40 kg of fuel.', $run['notes']);
        $this->enter('turned', ['screw' => '1'])->assertOk();
        $this->enter('as_left', $read, $tool)->assertStatus(422)->assertSee('Oil temperature');
    }

    public function test_a_screw_that_was_turned_is_whole_once_its_points_are_read_within_and_it_is_locked(): void
    {
        $step = Step::where(['card_id' => $this->card->id, 'no' => $this->no])->firstOrFail();
        $spec = $step->spec;
        $spec['adjusters'][0]['proofs'] = ['locking'];
        $step->update(['spec' => $spec]);
        Step::where(['card_id' => $this->card->id, 'no' => $this->no + 1])->firstOrFail()
            ->update(['spec' => ['proves' => [['by' => 'locking', 'of' => ['High-speed screw']]]]]);
        $open = fn(): array => array_column(
            (array) $this->as('oda', 'GET', "cards/{$this->card->id}")->json('notWhole'),
            'missing',
            'what',
        );
        $tool = $this->tool();
        $this->enter('as_found', ['high' => '65.5', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        self::assertSame([], $open(), 'nothing is turned yet');
        $this->enter('turned', ['screw' => '1'])->assertOk();
        self::assertSame(['High-speed screw'], array_keys($open()));
        self::assertStringContainsString('reading', (string) json_encode($open()));
        $this->enter('as_left', ['high' => '64.5', 'pickup' => '22.5', 'feather' => '86'], $tool)->assertOk();
        $this->enter('turned', ['screw' => '1.75'])->assertOk();
        $this->enter('as_left', ['high' => '62.5', 'pickup' => '22.5', 'feather' => '86'], $tool)->assertOk();
        self::assertSame('done', $this->shown()['state']);
        self::assertStringNotContainsString('reading', (string) json_encode($open()));
        self::assertStringContainsString('lock', (string) json_encode($open()));
        self::assertStringContainsString('High-speed screw', (string) json_encode(
            $this->as('tor', 'GET', "release/{$this->card->visit_id}")->json('blockers'),
        ), 'and the aircraft is not released before');
        $this->work($this->card, $this->no + 1)->assertOk();
        self::assertSame([], $open());
        // The certificate says what was left, and what was turned for it.
        $said = app(FreezeCertificate::class)(
            'JV-T',
            Visit::with('cards')->findOrFail($this->card->visit_id),
            $this->person('tor'),
            collect(),
            app(Clock::class)->now(),
        );
        self::assertContains(
            [$this->card->number, 'Governor arm at the high-speed stop left at 62.5 °'],
            $said['rigging'],
        );
        self::assertStringContainsString(
            'Turned: High-speed screw 1 turn clockwise, High-speed screw 1.75',
            (string) json_encode($said['rigging']),
        );
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function refused(): iterable
    {
        yield 'a point is missing' => [
            'as_found', ['high' => '62', 'pickup' => '22'], 'all points are read in one run',
        ];
        yield 'nothing was found yet'
            => ['as_left', ['high' => '62', 'pickup' => '22', 'feather' => '86'], 'Enter the as-found readings first.'];
        yield 'nothing was read yet' => ['turned', ['screw' => '1'], 'Enter the as-found readings first.'];
        yield 'no number' => ['as_found', ['high' => 'about 62', 'pickup' => '22', 'feather' => '86'], ''];
        yield 'another answer' => ['done', [], 'cannot be answered with "done"'];
    }

    /** @param array<string, string> $entries */
    #[DataProvider('refused')]
    public function test_what_cannot_be_entered(string $do, array $entries, string $said): void
    {
        $message = $this->enter($do, $entries, $this->tool())->assertStatus(422)->json('message');
        self::assertStringContainsString($said, $message);
        self::assertSame([0, 0], [
            RigRun::whereIn('step_id', Step::where('card_id', $this->card->id)->select('id'))->count(),
            Reading::where('card_id', $this->card->id)->count(),
        ]);
    }

    /** @return Collection<int, RigRun> */
    private function runs(): Collection
    {
        return RigRun::orderBy('no')
            ->whereIn('step_id', Step::where(['card_id' => $this->card->id, 'no' => $this->no])->select('id'))->get();
    }

    /** A protractor that may be used today. */
    private function tool(): string
    {
        return array_column(
            array_filter(
                (array) $this->as('oda', 'GET', "cards/{$this->card->id}")->json('tools'),
                static fn(array $t): bool => $t['kind'] === 'protractor' && $t['usable'],
            ),
            'code',
        )[0];
    }
}
