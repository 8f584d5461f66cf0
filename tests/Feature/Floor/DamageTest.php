<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Floor\Model\Card;
use App\Shared\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** The damage map: new told from old, growth in numbers, looked at again until repaired, and what is not allowed. */
final class DamageTest extends WorldCase
{
    private Card $card;

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T08:20:00Z'));
        DB::table('damage_looks')->delete();
        DB::table('damages')->delete();
        $this->card = Card::where('visit_id', 1)->where('state', Card::IN_WORK)->orderBy('id')->firstOrFail();
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function enter(array $more = []): TestResponse
    {
        return $this->as('oda', 'POST', "cards/{$this->card->id}/damages", [
            'kind' => 'crack', 'place' => 'left rib 4', 'spot' => ['view' => 'top', 'x' => 9.5, 'y' => -3.0],
            'length' => 11, 'limits' => ['length' => 20], 'source' => '57-12', 'every_fh' => 75, ...$more,
        ]);
    }

    /** @return TestResponse<Response> */
    private function look(int $id, float $length, bool $atCard = true): TestResponse
    {
        return $this->as('oda', 'POST', "damages/{$id}/looks", [
            'length' => $length, ...$atCard ? ['card' => $this->card->id] : [],
        ]);
    }

    private function fly(float $hours): void
    {
        $counters = json_decode((string) DB::table('aircraft')->where('mark', 'QA-VFA')->value('counters'), true);
        $counters['fh'] += $hours;
        DB::table('aircraft')->where('mark', 'QA-VFA')->update(['counters' => json_encode($counters)]);
    }

    /** @return array<string, mixed> */
    private function one(): array
    {
        return $this->as('mika', 'GET', 'damage/QA-VFA')->assertOk()->json('damages.0');
    }

    public function test_a_crack_of_17_that_was_11_is_looked_at_again_until_it_is_repaired(): void
    {
        $id = (int) $this->enter()->assertCreated()->json('damages.0.id');
        self::assertSame(['clear', 'allowed', '11 mm long'], [
            $this->one()['state'], $this->one()['word'], $this->one()['size'],
        ]);
        self::assertNotNull($this->one()['again']);
        $this->fly(150);
        $this->look($id, 17)->assertOk();
        self::assertSame('grows', $this->one()['word']);
        self::assertSame(
            '6 mm longer than before, 4 mm in 100 h; at that pace 75 h until it is no longer allowed',
            $this->one()['growth'],
        );
        self::assertSame(0, DB::table('findings')->where('place', 'left rib 4')->count());
        // Beyond what is allowed it is a finding at once, and is not settled by a word.
        $this->look($id, 23, atCard: false)->assertStatus(422);
        self::assertSame('17 mm long', $this->one()['size'], 'a look that is refused is none');
        $this->look($id, 23)->assertOk();
        $this->look($id, 24)->assertOk();
        self::assertSame(1, DB::table('findings')->where('place', 'left rib 4')->count(), 'it is raised once');
        self::assertSame('not allowed', $this->one()['word']);
        $settle = fn(): TestResponse => $this->as('oda', 'POST', "damages/{$id}/settle", [
            'how' => 'repaired', 'note' => 'doubler, card 001-99',
        ]);
        $settle()->assertStatus(422);
        DB::table('findings')->where('place', 'left rib 4')->update(['state' => 'fixed']);
        $settle()->assertOk();
        $settle()->assertStatus(422);
        self::assertSame(['repaired', false, 'doubler, card 001-99'], [
            $this->one()['word'], $this->one()['open'], $this->one()['growth'],
        ]);
        $this->look($id, 25)->assertStatus(422);
        self::assertCount(4, $this->one()['looks'], 'every look stays');
    }

    public function test_a_new_dent_is_told_from_an_old_one_that_lies_near(): void
    {
        $this->enter(['kind' => 'dent', 'place' => 'belly, frame 9'])->assertCreated();
        $near = ['kind' => 'dent', 'spot' => ['view' => 'top', 'x' => 9.7, 'y' => -3.2]];
        self::assertStringContainsString(
            'dent, belly, frame 9 lies near, 11 mm long when it was last looked at',
            (string) $this->enter($near)->assertStatus(422)->json('message'),
        );
        $this->enter([...$near, 'another' => true])->assertCreated();
        $this->enter(['spot' => ['view' => 'side', 'x' => 9.7, 'y' => 1.2]])->assertCreated();
        self::assertSame(3, DB::table('damages')->count());
    }

    public function test_an_induction_looks_at_every_damage_that_is_known_before_it_is_signed(): void
    {
        $this->enter()->assertCreated();
        $this->enter(['place' => 'right rib 9', 'spot' => ['view' => 'top', 'x' => 9.5, 'y' => 3.0]])->assertCreated();
        [$one, $two] = DB::table('damages')->orderBy('id')->pluck('id')->all();
        $induct = Card::where('makes', 'induct')->where('visit_id', 1)->firstOrFail();
        DB::table('cards')->where('id', $induct->id)->update([
            'state' => 'in_work', 'signed_at' => null, 'closed_at' => null, 'signed_by' => null,
        ]);
        DB::table('presences')->delete();
        DB::table('assignments')->insertOrIgnore([
            'card_id' => $induct->id, 'person_id' => $this->person('oda')->id, 'role' => 'perform',
        ]);
        $sign = function () use ($induct): TestResponse {
            $this->stepsDone($induct->id, 'oda');

            return $this->as('oda', 'POST', "cards/{$induct->id}/sign", [
                'version' => Card::findOrFail($induct->id)->version, 'stamp' => 'T27', 'pin' => '2741',
            ]);
        };
        self::assertStringContainsString('Not looked at yet', (string) $sign()->assertStatus(422)->json('message'));
        $this->as('oda', 'POST', "damages/{$one}/same", ['card' => $induct->id])->assertOk();
        self::assertSame([true, false], array_column((array) $this
            ->as('oda', 'GET', "damage/QA-VFA?card={$induct->id}")->json('damages'), 'here'));
        self::assertStringContainsString(
            (string) DB::table('damages')->where('id', $two)->value('number'),
            (string) $sign()->assertStatus(422)->json('message'),
        );
        $this->as('oda', 'POST', "damages/{$two}/looks", ['length' => 12, 'card' => $induct->id])->assertOk();
        $sign()->assertOk();
        self::assertSame(11.0, (float) DB::table('damage_looks')->where(['damage_id' => $one, 'card_id' => $induct->id])
            ->value('length'));
    }

    public function test_what_is_to_be_looked_at_again_stops_its_aircraft(): void
    {
        $reach = fn(): array => collect((array) $this->as('ines', 'GET', 'fleet')->json('rows'))
            ->firstWhere('mark', 'QA-VFB') ?? [];
        $before = $reach();
        $aircraft = (int) DB::table('aircraft')->where('mark', 'QA-VFB')->value('id');
        $damage = DB::table('damages')->insertGetId([
            'aircraft_id' => $aircraft, 'number' => 'D0900', 'kind' => 'crack', 'place' => 'frame 20',
            'spot' => '{"view":"top","x":1,"y":1}', 'limits' => '{"length":20}', 'source' => '', 'every_days' => 2,
            'state' => 'open',
        ]);
        DB::table('damage_looks')->insert([
            'damage_id' => $damage, 'person_id' => $this->person('oda')->id, 'date' => '2026-05-04',
            'at' => '2026-05-04T08:00:00Z', 'length' => 3,
        ]);
        self::assertNotSame($before, $reach());
        self::assertStringContainsString('Look again at D0900', (string) json_encode($reach()));
        DB::table('damages')->where('id', $damage)->update(['state' => 'repaired']);
        self::assertSame($before, $reach());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no length' => [['length' => 0], 'length'];
        yield 'a kind that there is not' => [['kind' => 'hole'], 'kind'];
        yield 'a view that there is not' => [['spot' => ['view' => 'below', 'x' => 1, 'y' => 1]], 'spot.view'];
        yield 'a limit below nought' => [['limits' => ['edge' => -3]], 'limits.edge'];
        yield 'looked at again never' => [['every_fh' => 0], 'every_fh'];
    }

    /** @param array<string, mixed> $more */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_is_named(array $more, string $field): void
    {
        $this->enter($more)->assertStatus(422)->assertJsonValidationErrors($field);
        self::assertSame(0, DB::table('damages')->count());
    }
}
