<?php

declare(strict_types=1);

namespace Tests\Feature\Crew;

use App\Crew\Model\Person;
use App\Crew\Model\Qualification;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Shared\Clock;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** Which planned cards a lapse, a lack or a leaving hits, from a table. */
final class LapsesTest extends WorldCase
{
    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
    }

    /**
     * One card that ends on 20 May and asks for airframe on the OLN, given to one person in one role.
     *
     * @return iterable<string, array{
     *   array<string, string|null>, string, array<string, int>|null, string|null, array<string, int>,
     * }>
     *   held with the last day, role, needs of the card, last day of the person, what is said with how many cards hit
     */
    public static function cases(): iterable
    {
        $all = [
            'authority:perform' => null, 'authority:duplicate' => null, 'rating:OLN' => null, 'skill:airframe' => null,
        ];
        yield 'nothing lapses' => [$all, 'perform', null, null, []];
        yield 'a day too late' => [
            [...$all, 'skill:airframe' => '2026-05-20'], 'perform', null, null,
            ['loses the airframe skill in 15 days' => 0],
        ];
        yield 'a day too soon' => [
            [...$all, 'skill:airframe' => '2026-05-19'], 'perform', null, null,
            ['loses the airframe skill in 14 days' => 1],
        ];
        yield 'a skill says nothing of an inspection' => [
            [...$all, 'skill:airframe' => '2026-05-06'], 'duplicate', null, null,
            ['loses the airframe skill tomorrow' => 0],
        ];
        yield 'a rating does' => [
            [...$all, 'rating:OLN' => '2026-05-06'], 'duplicate', null, null, ['loses the OLN rating tomorrow' => 1],
        ];
        yield 'the authority of the other role does not' => [
            [...$all, 'authority:perform' => '2026-05-06'], 'duplicate', null, null,
            ['loses the authority to work cards tomorrow' => 0],
        ];
        yield 'its own does' => [
            [...$all, 'authority:duplicate' => '2026-05-06'], 'duplicate', null, null,
            ['loses the authority to inspect independently tomorrow' => 1],
        ];
        yield 'lapsed already' => [
            [...$all, 'authority:perform' => '2026-05-04'], 'perform', null, null,
            ['no longer holds the authority to work cards' => 1],
        ];
        yield 'sixty days and no more' => [
            [...$all, 'skill:airframe' => '2026-07-04', 'rating:OLN' => '2026-07-05'], 'perform', null, null,
            ['loses the airframe skill in 60 days' => 0],
        ];
        yield 'never held' => [
            array_diff_key($all, ['rating:OLN' => 0]), 'perform', null, null, ['has no OLN rating' => 1],
        ];
        yield 'a trainee is asked for nothing' => [
            ['skill:airframe' => '2026-05-06'], 'trainee', null, null, ['loses the airframe skill tomorrow' => 0],
        ];
        yield 'another skill of the card is enough' => [
            [...$all, 'skill:airframe' => '2026-05-06', 'skill:engine' => null], 'perform',
            ['airframe' => 1, 'engine' => 1], null, ['loses the airframe skill tomorrow' => 0],
        ];
        yield 'the only one of several' => [
            [...array_diff_key($all, ['skill:airframe' => 0]), 'skill:engine' => '2026-05-06'], 'perform',
            ['airframe' => 1, 'engine' => 1], null, ['loses the engine skill tomorrow' => 1],
        ];
        yield 'none of several' => [
            array_diff_key($all, ['skill:airframe' => 0]), 'perform', ['airframe' => 1, 'engine' => 1], null,
            ['has no airframe skill' => 1],
        ];
        yield 'leaves the day before' => [$all, 'perform', null, '2026-05-19', ['leaves in 14 days' => 1]];
        yield 'leaves that day' => [$all, 'perform', null, '2026-05-20', ['leaves in 15 days' => 0]];
        yield 'left with nothing on' => [$all, 'none', null, '2026-05-01', []];
        yield 'left with a card on' => [$all, 'perform', null, '2026-05-01', ['left 4 days ago' => 1]];
    }

    public function test_a_card_that_nobody_is_left_for_is_told_before_anybody_is_assigned(): void
    {
        Assignment::query()->delete();
        [$noor, $runa] = [$this->person('noor'), $this->person('runa')];
        $card = Card::where('title', 'Flap travel timing')->where('state', Card::IN_WORK)->firstOrFail();
        $card->update([
            'needs' => ['airframe' => 1], 'planned_start' => '2026-05-20T06:00:00Z',
            'planned_end' => '2026-05-20T10:00:00Z',
        ]);
        DB::table('qualifications')->where(['kind' => 'authority', 'value' => 'duplicate'])->delete();
        Qualification::create(
            ['person_id' => $noor->id, 'kind' => 'authority', 'value' => 'duplicate', 'valid_until' => '2026-05-19'],
        );
        $hits = function (int $person) use ($card): array {
            $lapses = array_filter(
                $this->as('mika', 'GET', 'crew')->assertOk()->json('lapses'),
                static fn(array $l): bool => $l['personId'] === $person && $l['kind'] === 'authority',
            );

            return array_map(
                static fn(array $h): array => [$h['number'], $h['role'], $h['on'], $h['nobody']],
                array_values(array_filter(
                    array_merge(...array_column($lapses, 'hits')),
                    static fn(array $h): bool => $h['number'] === $card->number,
                )),
            );
        };
        self::assertSame([[$card->number, 'duplicate', '2026-05-20', true]], $hits($noor->id));
        self::assertStringContainsString(
            'nobody is left for 2 planned cards',
            $this->as('ines', 'GET', "people/{$noor->id}")->json('sentence'),
        );
        // Assigned besides, it is told once, and as what it is.
        Assignment::create(['card_id' => $card->id, 'person_id' => $noor->id, 'role' => 'duplicate']);
        self::assertSame([[$card->number, 'duplicate', '2026-05-20', true]], $hits($noor->id));
        // One more who can, and only who is assigned is hit; a trainee, somebody of another base, and who has left do
        // not count.
        Qualification::create(
            ['person_id' => $runa->id, 'kind' => 'authority', 'value' => 'duplicate', 'valid_until' => null],
        );
        self::assertSame([[$card->number, 'duplicate', '2026-05-20', false]], $hits($noor->id));
        foreach ([['trainee' => true], ['base' => 'Port Ellery'], ['leaves' => '2026-05-19']] as $gone) {
            Person::whereKey($runa->id)->update(
                ['trainee' => false, 'base' => 'Skarnholm', 'leaves' => null, ...$gone],
            );
            self::assertSame(
                [[$card->number, 'duplicate', '2026-05-20', true]],
                $hits($noor->id),
                (string) json_encode($gone),
            );
        }
    }

    /**
     * @param array<string, string|null> $held
     * @param array<string, int>|null $needs
     * @param array<string, int> $said
     */
    #[DataProvider('cases')]
    public function test_what_is_hit(array $held, string $role, ?array $needs, ?string $leaves, array $said): void
    {
        $person = $this->person('noor');
        Assignment::query()->delete();
        DB::table('qualifications')->where('person_id', $person->id)->delete();
        foreach ($held as $what => $until) {
            [$kind, $value] = explode(':', $what);
            Qualification::create(
                ['person_id' => $person->id, 'kind' => $kind, 'value' => $value, 'valid_until' => $until],
            );
        }
        Person::whereKey($person->id)->update(['leaves' => $leaves]);
        $card = Card::where('title', 'Flap travel timing')->where('state', Card::IN_WORK)->firstOrFail();
        $card->update([
            'needs' => $needs, 'skill' => 'airframe', 'planned_start' => '2026-05-20T06:00:00Z',
            'planned_end' => '2026-05-20T10:00:00Z',
        ]);
        if ($role !== 'none') {
            Assignment::create(['card_id' => $card->id, 'person_id' => $person->id, 'role' => $role]);
        }
        $found = [];
        foreach ($this->as('mika', 'GET', 'crew')->assertOk()->json('lapses') as $lapse) {
            if ($lapse['personId'] === $person->id) {
                $found[$lapse['said']] = count($lapse['hits']);
            }
        }
        self::assertSame($said, $found);
        self::assertSame(
            array_keys(array_filter($said)),
            array_column($this->as('mika', 'GET', "people/{$person->id}")->json('lapses'), 'said'),
            'their own page shows those that hit something',
        );
    }
}
