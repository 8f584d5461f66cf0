<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Floor\Model\Reading;
use App\Floor\Model\Step;
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
                ['entry' => '48', 'tool' => 'PG-27'],
                'is away for calibration',
            ],
            [
                ['entry' => '48 psi', 'tool' => 'PG-21'],
                'not in "psi"',
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
}
