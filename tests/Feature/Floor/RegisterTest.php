<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Floor\Model\Card;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Stores\Model\FittedPart;
use Illuminate\Support\Facades\DB;
use Tests\Feature\GovernorCard;
use Tests\Feature\WorldCase;

/** What is fitted, read and put in by steps, and what of it stands when a step is worked, taken off or taken back. */
final class RegisterTest extends WorldCase
{
    use GovernorCard;

    private Card $card;

    protected function setUp(): void
    {
        parent::setUp();
        $this->card = $this->governorCard();
    }

    private function step(string $kind): Step
    {
        $step = Step::where(['card_id' => $this->card->id, 'kind' => $kind])->orderBy('no')->firstOrFail();
        Step::where('card_id', $this->card->id)->where('no', '<', $step->no)->where('state', Step::OPEN)->update(
            ['state' => Step::DONE, 'done_by' => $this->person('oda')->id, 'done_at' => '2026-05-05T11:00:00Z'],
        );

        return $step;
    }

    public function test_of_two_devices_of_a_kind_the_one_that_the_step_is_for_comes_off(): void
    {
        $fit = $this->step('safing_fit');
        $this->work($this->card, $fit->no)->assertOk();
        $mine = SafingDevice::where('fitted_step_id', $fit->id)->firstOrFail();
        $like = [
            'aircraft_id' => $this->card->aircraft_id, 'card_id' => $this->card->id,
            'fitted_step_id' => $this->card->steps()->valueOrFail('id'), 'fitted_by' => $this->person('bram')->id,
            'kind' => $mine->kind, 'flag' => 'red', 'fitted_at' => '2026-05-05T09:00:00Z',
        ];
        $elsewhere = SafingDevice::create($like + ['place' => 'another breaker']);
        $off = SafingDevice::create($like + [
            'place' => $mine->place, 'removed_by' => $this->person('bram')->id, 'removed_at' => '2026-05-05T10:00:00Z',
        ]);
        $this->work($this->card, $this->step('safing_remove')->no)->assertOk();
        self::assertNotNull($mine->refresh()->removed_at);
        self::assertNull($elsewhere->refresh()->removed_at, 'another of the kind stays on');
        self::assertSame(
            ['2026-05-05T10:00:00Z', $this->person('bram')->id],
            [(string) $off->refresh()->removed_at, (int) $off->removed_by],
            'what was off before is not taken off again',
        );
        self::assertSame(
            ['another breaker'],
            array_column((array) $this->as('oda', 'GET', 'registers/QA-VFC')->json('devices'), 'place'),
        );
        $elsewhere->update(['fitted_step_id' => $fit->id]);
        self::assertStringContainsString('was fitted again since', (string) $this->work(
            $this->card,
            $this->step('safing_remove')->no,
            'take_back',
            ['note' => 'it is still on'],
        )->assertStatus(422)->json('message'));
    }

    public function test_a_step_taken_back_leaves_no_reading_and_no_part_standing(): void
    {
        $read = Step::where('card_id', $this->card->id)->whereIn('kind', ['measurement', 'torque'])->orderBy('no')
            ->firstOrFail();
        $step = $this->step($read->kind);
        $spec = $step->spec['reading'] ?? [];
        $tool = array_column(
            array_filter(
                (array) $this->as('oda', 'GET', "cards/{$this->card->id}")->json('tools'),
                static fn(array $t): bool => $t['kind'] === ($spec['tool_kind'] ?? '') && $t['usable'],
            ),
            'code',
        )[0];
        $good = (string) (((float) ($spec['limit']['min'] ?? 0) + (float) ($spec['limit']['max'] ?? 0)) / 2);
        $this->work($this->card, $step->no, 'read', ['entry' => $good, 'tool' => $tool])->assertOk();
        FittedPart::insert([
            'step_id' => $step->id, 'card_id' => $this->card->id, 'part_id' => DB::table('parts')->value('id'),
            'person_id' => $this->person('oda')->id, 'aircraft_id' => $this->card->aircraft_id, 'position' => 'port',
            'quantity' => 1, 'at' => '2026-05-05T12:00:00Z', 'stands' => true,
        ]);
        $standing = fn(): array => [
            DB::table('readings')->where(['step_id' => $step->id, 'stands' => true])->count(),
            FittedPart::where(['step_id' => $step->id, 'stands' => true])->count(),
        ];
        self::assertSame([1, 1], $standing());
        $this->work($this->card, $step->no, 'take_back', ['note' => 'read at the wrong port'])->assertOk();
        self::assertSame([[0, 0], 'open'], [$standing(), $step->refresh()->state->value]);
        self::assertSame(1, DB::table('readings')->where('step_id', $step->id)->count(), 'it stays to be seen');
    }
}
