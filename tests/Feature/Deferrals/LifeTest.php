<?php

declare(strict_types=1);

namespace Tests\Feature\Deferrals;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Floor\Model\ActingRow;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Presence;
use App\Floor\Model\SafingDevice;
use App\Shared\Clock;
use App\Stores\Model\PartBatch;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WalksCards;
use Tests\Feature\WorldCase;

/** A deferral from the decision to the closed log, through its doors. */
final class LifeTest extends WorldCase
{
    use WalksCards;

    private const INES = ['stamp' => 'C01', 'pin' => '1101'];

    private function found(): Finding
    {
        $card = Card::whereHas('visit', static fn($q) => $q->where('title', 'Gear and flap functions'))->firstOrFail();

        return Finding::create([
            'aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'raised_by' => $this->person('pell')->id,
            'number' => 'F0800', 'chapter' => '32-31', 'place' => 'left main wheel, antiskid sensor',
            'extent' => 'no signal in the wheel-spin test', 'state' => 'open', 'raised_at' => '2026-05-05T09:00:00Z',
        ]);
    }

    private function option(Finding $finding, string $code): int
    {
        return array_column(
            $this->as('ines', 'GET', "findings/{$finding->id}/options")->json('options'),
            'id',
            'code',
        )[$code];
    }

    /** Puts people on it, works it whole, has it signed and, where it is due, inspected. */
    private function whole(Card $card, string $who = 'noor'): void
    {
        DB::table('card_waits')->where('card_id', $card->id)->delete();
        $this->assign($card, $who)->assertOk();
        $this->walk($card, $who, 'tor');
        $signed = $this->as($who, 'POST', "cards/{$card->id}/sign", [
            'version' => $card->refresh()->version, 'stamp' => $this->person($who)->stamp, 'pin' => $this->pinOf($who),
        ]);
        self::assertSame(200, $signed->status(), "{$card->number} {$card->title}: ".$signed->json('message'));
        if ($card->refresh()->state === Card::SIGNED) {
            $this->as('tor', 'POST', "cards/{$card->id}/inspect", [
                'version' => $card->version, 'covers' => $card->covers, 'stamp' => 'X02', 'pin' => '5520',
            ])->assertOk();
        }
        self::assertSame(Card::CLOSED, $card->refresh()->state, $card->title);
    }

    /** @return TestResponse<Response> */
    private function close(int $id): TestResponse
    {
        return $this->as('ines', 'POST', "deferrals/{$id}/close", ['how' => 'sensor changed', ...self::INES]);
    }

    public function test_from_the_decision_to_the_closed_log_nothing_skipped(): void
    {
        $finding = $this->found();
        $blocks = fn(): array => array_column($this->as('tor', 'GET', 'release/'.$finding->card->visit_id)
            ->json('blockers'), 'code');
        self::assertContains('finding_open', $blocks());
        $body = ['item' => $this->option($finding, '32-L2'), ...self::INES];
        $this->as('ines', 'POST', "findings/{$finding->id}/defer", $body)->assertStatus(422)
            ->assertJsonPath('message', 'Say which it is: left, right. Nothing was deferred.');
        $page = $this->as('ines', 'POST', "findings/{$finding->id}/defer", [...$body, 'position' => 'left'])->assertOk()
            ->json();
        $id = $page['deferral']['id'];
        self::assertStringContainsString('not made safe yet', $page['sentence']);
        self::assertContains('deferral_invalid', $blocks(), 'it begins with the signature of its card');

        // Nobody else is at the aircraft, and nothing of theirs on it.
        Presence::query()->delete();
        ActingRow::query()->update(['ended_at' => '2026-05-05T12:00:00Z']);
        SafingDevice::where('aircraft_id', $finding->aircraft_id)->update(['removed_at' => '2026-05-05T12:00:00Z']);

        // Made safe: what is fitted stays on, and is the deferral's.
        $safe = Card::findOrFail($page['safe']['id']);
        self::assertSame($finding->card->visit_id, $safe->visit_id);
        $this->as('ines', 'POST', "deferrals/{$id}/plan", ['slot' => 'line-2026-05-06'])->assertStatus(422);
        $this->whole($safe);
        $carried = SafingDevice::where('carried_by', $finding->id)->pluck('kind')->sort()->values()->all();
        self::assertSame(['Breaker collar', 'Plug cap', 'Plug cap'], $carried);
        self::assertNotContains('deferral_invalid', $blocks());
        self::assertStringNotContainsString('Plug cap', (string) json_encode(
            $this->as('tor', 'GET', 'release/'.$finding->card->visit_id)->json('blockers'),
        ));
        $devices = array_column($this->as('mika', 'GET', 'registers/QC-TAC')->json('devices'), 'carriedBy', 'kind');
        self::assertSame('F0800', $devices['Plug cap']);

        // Planned: the fix, the reverse of what was really fitted, the test.
        $page = $this->as('ines', 'POST', "deferrals/{$id}/plan", ['slot' => 'visit-'.$safe->visit_id])->assertOk()
            ->json();
        self::assertSame(
            ['done', 'now', 'later', 'later', 'later', 'later'],
            array_column($page['stages'], 'state'),
        );
        $parts = DeferralCard::with('card.steps')->where('deferral_id', $id)->get()->keyBy('part');
        self::assertSame([
            'Wheels and brakes are hot after a landing',
            'Inner wheel: turns of tie wire taken off',
            'Plug cap off, main gear, inner wheel sensor',
            'Outer wheel: turns of tie wire taken off',
            'Plug cap off, main gear, outer wheel sensor',
            'Breaker collar off, breaker panel, antiskid',
            'Channel A set back',
            'Channel B set back',
            'Channels A and B compared',
            'Self-test: both channels pass',
        ], $parts['reverse']->card->steps->where('kind', '!=', 'inspection')->pluck('title')->map(ucfirst(...))
            ->values()->all());
        self::assertSame([2, 2], array_values($parts['reverse']->card->steps->where('kind', 'count')
            ->map(static fn($s): int => (int) $s->spec['max'])->all()), 'as many turns as were put on');
        $this->close($id)->assertStatus(422)->assertJsonPath('message', 'First: fixed. Nothing was changed.');
        $this->as('oda', 'POST', "deferrals/{$id}/placard-off")->assertStatus(422);

        $waits = static fn(string $part): array => DB::table('card_waits')->where('card_id', $parts[$part]->card_id)
            ->pluck('after_id')->all();
        self::assertContains($parts['fix']->card_id, $waits('reverse'));
        self::assertContains($parts['reverse']->card_id, $waits('test'));
        foreach (['fix', 'reverse', 'test'] as $part) {
            self::assertSame('deferred', $finding->refresh()->state->value);
            $this->whole($parts[$part]->card);
        }
        self::assertSame(0, SafingDevice::where('carried_by', $finding->id)->whereNull('removed_at')->count());
        $this->close($id)->assertStatus(422)->assertJsonPath('message', 'First: placard off. Nothing was changed.');
        $this->as('oda', 'POST', "deferrals/{$id}/placard-off")->assertOk();
        $this->close($id)->assertOk()->assertJsonPath('stands', 'closed');
        self::assertSame('fixed', $finding->refresh()->state->value);
        self::assertStringStartsWith('sensor changed (cards ', (string) $finding->fixed_how);
        self::assertNotContains(
            'F0800',
            array_column($this->as('ines', 'GET', 'deferrals')->json('deferrals'), 'finding'),
        );
        self::assertSame('F0800', $this->as('ines', 'GET', 'deferrals')->json('closed.0.finding'));

        // Back a week later it is a repeat, with its story.
        app(Clock::class)->start(Instant::parse('2026-05-12T08:00:00Z'));
        $again = $this->as('noor', 'POST', "cards/{$safe->id}/findings", [
            'place' => 'left main wheel, antiskid sensor', 'extent' => 'no signal again', 'severity' => 'minor',
            'chapter' => '32-31',
        ])->assertOk()->json();
        self::assertStringContainsString('F0800', (string) json_encode($again));
    }

    public function test_a_decision_is_taken_back_until_somebody_works_its_card(): void
    {
        $finding = $this->found();
        $device = SafingDevice::where('aircraft_id', $finding->aircraft_id)->whereNull('removed_at')->firstOrFail();
        $body = ['item' => $this->option($finding, '32-L2'), 'position' => 'left', 'carry' => [$device->id],
            ...self::INES];
        $page = $this->as('ines', 'POST', "findings/{$finding->id}/defer", $body)->assertOk()->json();
        self::assertSame($finding->id, $device->refresh()->carried_by);
        $id = $page['deferral']['id'];
        $back = fn(): TestResponse
            => $this->as('ines', 'POST', "deferrals/{$id}/take-back", ['why' => 'the part came']);
        Card::whereKey($page['safe']['id'])->update(['state' => Card::IN_WORK]);
        self::assertStringContainsString('is begun', (string) $back()->assertStatus(422)->json('message'));
        Card::whereKey($page['safe']['id'])->update(['state' => Card::OPEN]);
        $back()->assertOk();
        self::assertSame(['open', null, 0], [
            $finding->refresh()->state->value, $device->refresh()->carried_by, Deferral::whereKey($id)->count(),
        ]);
        self::assertNull(Card::find($page['safe']['id']));
        $this->as('ines', 'POST', "findings/{$finding->id}/defer", [...$body, 'carry' => []])->assertOk();
    }

    public function test_extended_within_its_category_with_reason_and_approval(): void
    {
        $of = static fn(string $number): int => (int) Deferral::whereRelation('finding', 'number', $number)
            ->valueOrFail('id');
        $extend = fn(string $number, int $days, string $who = 'ines', array $by = self::INES): TestResponse
            => $this->as(
                $who,
                'POST',
                "deferrals/{$of($number)}/extend",
                ['days' => $days, 'reason' => 'part late', 'approval' => 'A 17', ...$by],
            );
        self::assertStringContainsString('Category A cannot', (string) $extend('F0004', 2)->assertStatus(422)
            ->json('message'));
        self::assertStringContainsString('1 to 10 days', (string) $extend('F0001', 11)->assertStatus(422)
            ->json('message'));
        $tor = ['stamp' => 'X02', 'pin' => '5520'];
        self::assertStringContainsString(
            'may not decide',
            (string) $extend('F0005', 3, 'tor', $tor)->assertStatus(422)->json('message'),
            'not rated on the helicopter',
        );
        $page = $extend('F0001', 3, 'tor', $tor)->assertOk()->json();
        self::assertSame(['2026-05-14', 'in_time', 0], [
            $page['deferral']['date'], $page['deferral']['verdict'], $page['extend'],
        ]);
        self::assertStringContainsString('once', (string) $extend('F0001', 1)->assertStatus(422)->json('message'));
        app(Clock::class)->start(Instant::parse('2026-05-08T00:00:00Z'));
        self::assertStringContainsString('run out', (string) $extend('F0002', 1)->assertStatus(422)->json('message'));
        // What has run out cannot be overlooked.
        self::assertStringContainsString(
            'Has run out',
            (string) json_encode($this->as('ines', 'GET', 'deferrals')->json()),
        );
        $row = array_column($this->as('ines', 'GET', 'fleet')->json('rows'), null, 'mark')['QC-TAB'];
        self::assertSame('stop', $row['state']);
    }

    public function test_what_it_waits_for_by_the_stores_own_dates_and_the_stay_that_it_is_planned_into(): void
    {
        $id = (int) Deferral::whereRelation('finding', 'number', 'F0003')->valueOrFail('id');
        $need = fn(array $body): TestResponse => $this->as('ines', 'POST', "deferrals/{$id}/needs", $body);
        self::assertStringContainsString('no part', (string) $need(['kind' => 'part', 'what' => 'JV-0'])
            ->assertStatus(422)
            ->json('message'));
        $page = $need(['kind' => 'part', 'what' => 'JV-3242-30', 'quantity' => 2])->assertOk()->json('deferral');
        self::assertSame('unknown', $page['verdict'], 'one is in stock, none on order');
        $last = $page['needs'][count($page['needs']) - 1];
        self::assertSame('nobody knows when', $last['said']);
        $change = fn(array $body): TestResponse => $this->as('ines', 'POST', "deferral-needs/{$last['id']}", $body);
        self::assertStringContainsString('The store has 1', (string) $change(['do' => 'there'])->assertStatus(422)
            ->json('message'));
        $page = $change(['do' => 'expected', 'expected' => '2026-05-16'])->assertOk()->json('deferral');
        self::assertSame('late', $page['verdict']);
        $page = $change(['do' => 'drop'])->assertOk()->json();
        self::assertSame('in_time', $page['deferral']['verdict']);

        // On a day on which it is washed it is nowhere else.
        $offered = fn(): array => array_filter(
            array_column($this->as('ines', 'GET', "deferrals/{$id}")->json('slots'), 'id'),
            static fn(string $s): bool => str_ends_with($s, '2026-05-12'),
        );
        self::assertNotSame([], $offered());
        $wash = Visit::create([
            'aircraft_id' => Deferral::findOrFail($id)->aircraft_id, 'title' => 'Wash', 'bay' => 'Skarnholm wash place',
            'start' => '2026-05-12', 'end' => '2026-05-12', 'state' => Visit::PLANNED, 'between' => true,
        ]);
        self::assertSame([], $offered());
        $wash->delete();
        // A day out of the free ones of a bay: what is left of them stays free.
        $slots = array_filter(
            array_column($page['slots'], 'id'),
            static fn(string $s): bool => str_ends_with($s, '@2026-05-12'),
        );
        $slot = array_values($slots)[0];
        $hours = fn(): float => (float) DB::table('bay_slots')->sum('hours');
        $before = $hours();
        $page = $this->as('ines', 'POST', "deferrals/{$id}/plan", ['slot' => $slot])->assertOk()->json();
        self::assertSame(['2026-05-12', '2026-05-12'], [
            DB::table('visits')->where('id', $page['deferral']['visitId'])->value('start'),
            DB::table('visits')->where('id', $page['deferral']['visitId'])->value('end'),
        ]);
        self::assertEqualsWithDelta($before - 32, $hours(), 0.2);
        self::assertStringContainsString('To be closed Tue 12 May', $page['deferral']['closure']);
        $this->as('ines', 'POST', "deferrals/{$id}/plan", ['slot' => $slot])->assertStatus(422);
    }

    public function test_thread_4_ends_the_reverser_is_made_live_again_position_by_position(): void
    {
        $id = (int) Deferral::whereRelation('finding', 'number', 'F0001')->valueOrFail('id');
        $page = fn(): array => $this->as('ines', 'GET', "deferrals/{$id}")->json();
        self::assertSame('late', $page()['deferral']['verdict']);
        // The actuator comes, and the rigging set.
        $part = DB::table('parts')->where('number', 'JV-7831-21')->value('id');
        PartBatch::create(['part_id' => $part, 'batch' => 'A-1', 'quantity' => 1]);
        foreach ($page()['deferral']['needs'] as $need) {
            $this->as('ines', 'POST', "deferral-needs/{$need['id']}", ['do' => 'there'])->assertOk();
        }
        self::assertSame('in_time', $page()['deferral']['verdict']);
        $slot = $page()['slots'][0]['id'];
        $this->as('ines', 'POST', "deferrals/{$id}/plan", ['slot' => $slot])->assertOk();
        $reverse = DeferralCard::with('card.steps')->where(['deferral_id' => $id, 'part' => 'reverse'])->firstOrFail()
            ->card;
        $titles = $reverse->steps->pluck('title')->all();
        $at = static fn(string $begins): int => (int) array_key_first(
            array_filter($titles, static fn(string $t): bool => str_starts_with($t, $begins)),
        );
        $order = [
            'Connector caps off', 'right inner door: bolts out', 'left upper door: opened and shut', 'Fairings back on',
            'Plates in the kit bag', 'Bolts in the kit bag', 'Lever lock off', 'Channel B set back',
            'Channels A and B compared',
            'Unlocked light, power on', 'Independent inspection',
        ];
        $places = array_map($at, $order);
        $sorted = $places;
        sort($sorted);
        self::assertSame($sorted, $places, implode("\n", $titles));
        self::assertSame([6.0, 6.0, 6.0], array_values($reverse->steps->filter(
            static fn($s): bool => $s->kind === 'count' && ! str_contains($s->title, 'door:'),
        )->map(static fn($s): float => (float) $s->spec['min'])->all()));

        // Worked whole but that one channel is inhibited still: the card is not signed with that.
        Presence::query()->delete();
        ActingRow::query()->update(['ended_at' => '2026-05-05T12:00:00Z']);
        $visit = $reverse->visit_id;
        DB::table('visits')->where('id', $visit)->update(['state' => 'in_work']);
        $this->whole(
            DeferralCard::with('card')->where(['deferral_id' => $id, 'part' => 'fix'])->firstOrFail()->card,
            'pell',
        );
        DB::table('card_waits')->where('card_id', $reverse->id)->delete();
        $this->assign($reverse, 'pell')->assertOk();
        $channel = $reverse->steps->firstWhere('title', 'Channel B set back');
        self::assertNotNull($channel);
        $this->walk($reverse, 'pell', 'tor', $channel->no);
        $this->as('pell', 'POST', "cards/{$reverse->id}/steps/{$channel->no}", [
            'version' => $reverse->refresh()->version, 'do' => 'answer', 'entry' => 'not',
        ])->assertOk();
        self::assertFalse($channel->refresh()->settled(), 'inhibited is kept, and the step stays open');
        $sign = fn(): TestResponse => $this->as('pell', 'POST', "cards/{$reverse->id}/sign", [
            'version' => $reverse->refresh()->version, 'stamp' => 'T33', 'pin' => '3370',
        ]);
        $sign()->assertStatus(422);
        $this->as('ines', 'POST', "deferrals/{$id}/close", ['how' => 'x', ...self::INES])->assertStatus(422);
        $this->walk($reverse, 'pell', 'tor');
        $sign()->assertOk();
    }

    public function test_its_placard_prints_to_size(): void
    {
        $id = (int) Deferral::whereRelation('finding', 'number', 'F0001')->valueOrFail('id');
        $pdf = (string) $this->as('mika', 'GET', "deferrals/{$id}/placard.pdf")->assertOk()->getContent();
        self::assertStringStartsWith('%PDF', $pdf);
    }
}
