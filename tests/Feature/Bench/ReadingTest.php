<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Stores\Model\Tool;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use Tests\Feature\GovernorCard;
use Tests\Feature\WorldCase;

/** Readings as they are typed, judged and kept. */
final class ReadingTest extends WorldCase
{
    use GovernorCard;

    public function test_readings(): void
    {
        $card = $this->governorCard();
        foreach ([1, 2, 3] as $no) {
            $this->work($card, $no)->assertOk();
        }
        $refused = [
            [['entry' => '48', 'tool' => ''], 'Choose the pressure gauge'],
            [['entry' => '48', 'tool' => 'TW-108'], 'is a torque wrench'], [
                ['entry' => '48', 'tool' => 'PG-27'], 'is away for calibration',
            ],
            [
                ['entry' => '48 psi', 'tool' => 'PG-21'], 'not in "psi"',
            ], [['entry' => '', 'tool' => 'PG-21'], 'enter a reading'], [['entry' => '120', 'tool' => 'PG-21'], 'lies outside it'],
        ];
        foreach ($refused as [$given, $why]) {
            self::assertStringContainsString(
                $why,
                $this->work($card, 4, 'read', $given)->assertStatus(422)->json('message'),
            );
        }
        self::assertSame(0, Reading::where('card_id', $card->id)->count());
        $this->work($card, 4, 'read', ['entry' => '45', 'tool' => 'PG-21'])->assertOk()->assertJsonPath('next', 4);
        $this->work($card, 4, 'read', ['entry' => '48,5', 'tool' => 'PG-21'])->assertOk()->assertJsonPath('next', 5);
        self::assertSame(
            [['fail', false], ['pass', true]],
            Reading::where('card_id', $card->id)->orderBy('id')->get()
                ->map(static fn(Reading $r): array => [$r->verdict, $r->stands])->all(),
        );
        $this->as('mika', 'POST', "cards/{$card->id}/steps/4/preview", ['entry' => '49', 'tool' => 'PG-21'])->assertOk()
            ->assertJsonPath('verdict', 'pass');
    }

    public function test_a_hold_is_timed_by_the_server(): void
    {
        $card = $this->governorCard();
        Step::where('card_id', $card->id)->where('no', '<', 6)
            ->update(['state' => 'done', 'done_by' => $this->person('oda')->id]);
        $this->work($card, 6, 'read', ['entry' => '44', 'tool' => 'PG-21'])->assertStatus(422)
            ->assertJsonPath('message', 'Start the hold first.');
        $this->work($card, 6, 'start')->assertOk();
        self::assertStringContainsString(
            'of 6 seconds',
            $this->work($card, 6, 'read', ['entry' => '44', 'tool' => 'PG-21'])->assertStatus(422)->json('message'),
        );
    }

    public function test_a_test_that_fails_loses_its_hold_and_a_second_early_is_too_early(): void
    {
        $card = $this->governorCard();
        Step::where('card_id', $card->id)->where('no', '<', 6)
            ->update(['state' => 'done', 'done_by' => $this->person('oda')->id]);
        $step = Step::where(['card_id' => $card->id, 'no' => 6])->firstOrFail();
        $step->update(['kind' => 'test', 'spec' => [
            ...$step->spec, 'hold' => ['seconds' => 6, 'what' => 'pressure'], 'setup' => ['s'], 'restore' => ['r'],
        ]]);
        $limit = $step->spec['reading']['limit'];
        $good = (string) (($limit['nominal'] ?? null) ?? (isset($limit['min'], $limit['max'])
            ? ($limit['min'] + $limit['max']) / 2 : ($limit['min'] ?? $limit['max'])));
        $read = fn(string $entry): TestResponse
            => $this->work($card, 6, 'read', ['entry' => $entry, 'tool' => 'PG-21']);
        $at = static fn(int $s) => app(Clock::class)->start(Instant::parse(sprintf('2026-05-05T12:20:%02dZ', $s)));
        $at(0);
        $this->work($card, 6, 'start')->assertOk();
        $at(5);
        // A machine that others keep busy may have begun it a second late.
        self::assertMatchesRegularExpression(
            '/^Held for [45] of 6 seconds/',
            (string) $read($good)->assertStatus(422)->json('message'),
        );
        $at(8);
        $bad = isset($limit['min']) ? $limit['min'] - 20 : $limit['max'] + 20;
        $read((string) $bad)->assertOk()->assertJsonPath('next', 6);
        self::assertSame(['open', null], [$step->refresh()->state->value, $step->started_at]);
        $read($good)->assertStatus(422)->assertJsonPath('message', 'Start the hold first.');
        $this->work($card, 6, 'start')->assertOk();
        $at(20);
        $read($good)->assertOk();
        self::assertSame(['done', ['fail', 'pass']], [
            $step->refresh()->state->value,
            Reading::where('step_id', $step->id)->orderBy('id')->pluck('verdict')->all(),
        ]);
    }

    public function test_what_passes_simply_is_marginal_where_the_step_is_guarded(): void
    {
        $card = $this->governorCard();
        foreach ([1, 2, 3] as $no) {
            $this->work($card, $no)->assertOk();
        }
        $step = Step::where(['card_id' => $card->id, 'no' => 4])->firstOrFail();
        $gauge = Tool::where('code', 'PG-21')->firstOrFail();
        $edge = $step->spec['reading']['limit']['min'];
        // Within the gauge's own uncertainty of the limit.
        $entry = (string) (ceil(($edge + $gauge->uncertainty / 2) / $gauge->resolution) * $gauge->resolution);
        $preview = fn(): string => $this->as('oda', 'POST', "cards/{$card->id}/steps/4/preview", [
            'entry' => $entry, 'tool' => 'PG-21',
        ])->assertOk()->json('verdict');
        $decide = static fn(string $how) => $step->update(['spec' => [
            ...$step->spec, 'reading' => [...$step->spec['reading'], 'decision' => $how],
        ]]);
        $decide('simple');
        self::assertSame('pass', $preview());
        $decide('guarded');
        self::assertSame('marginal', $preview());
        $this->work($card, 4, 'read', ['entry' => $entry, 'tool' => 'PG-21'])->assertOk()->assertJsonPath('next', 4);
    }
}
