<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Bench\Model\RigRun;
use App\Floor\Model\Card;
use App\Floor\Model\Reading;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Release\Do\FreezeCertificate;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Testing\TestResponse;
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
        self::assertSame([1, true, ['screw']], [$run['no'], $run['within'], array_column($run['moves'], 'adjuster')]);
        self::assertStringContainsString('clockwise', (string) json_encode($run['moves'][0]));
        // What the sheet predicts of its own turns is read at the arm: done.
        $left = array_map(static fn(float|int $v): string => (string) (round($v * 2) / 2), $run['predicted']);
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

    public function test_what_is_left_outside_begins_another_run_with_what_was_found_then(): void
    {
        $tool = $this->tool();
        $this->enter('as_found', ['high' => '65.5', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        $this->enter('as_found', ['high' => '65.5', 'pickup' => '22', 'feather' => '86'], $tool)->assertStatus(422)
            ->assertJsonPath('message', 'The last run still waits for its as-left readings.');
        $this->enter('as_left', ['high' => '64.5', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        $shown = $this->shown();
        self::assertSame(['open', 2], [$shown['state'], count($shown['runs'])]);
        $runs = RigRun::orderBy('no')
            ->whereIn('step_id', Step::where(['card_id' => $this->card->id, 'no' => $this->no])->select('id'))->get();
        self::assertEquals([$runs[0]->as_left, null], [$runs[1]->as_found, $runs[1]->as_left]);
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
        $this->enter('as_left', ['high' => '64.5', 'pickup' => '22', 'feather' => '86'], $tool)->assertOk();
        self::assertSame(['High-speed screw'], array_keys($open()));
        self::assertStringContainsString('reading', (string) json_encode($open()));
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
        self::assertContains([$this->card->number, 'Governor arm at the high-speed stop left at 62.5 °'], $said['rigging']);
        self::assertStringContainsString('Turned: High-speed screw', (string) json_encode($said['rigging']));
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function refused(): iterable
    {
        yield 'a point is missing' => [
            'as_found', ['high' => '62', 'pickup' => '22'], 'all points are read in one run',
        ];
        yield 'nothing was found yet'
            => ['as_left', ['high' => '62', 'pickup' => '22', 'feather' => '86'], 'Enter the as-found readings first.'];
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
