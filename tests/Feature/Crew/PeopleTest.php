<?php

declare(strict_types=1);

namespace Tests\Feature\Crew;

use App\Crew\Model\Person;
use App\Crew\Model\Qualification;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\CardHand;
use App\Shared\Clock;
use App\Shared\Records;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/**
 * People are entered, changed and renewed; a PIN that somebody else knows signs nothing; who has left is let in no
 * more.
 */
final class PeopleTest extends WorldCase
{
    private const NEW = [
        'login' => 'Petra', 'name' => 'Petra Lund', 'stamp' => 'T90', 'role' => 'technician', 'base' => 'Skarnholm',
        'shift' => 'early', 'weekdays' => [5, 1, 2], 'trainee' => false, 'supervisor' => null, 'leaves' => null,
        'password' => 'given-by-ines', 'pin' => '7305',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
    }

    /** @return array<string, mixed> as the form holds somebody */
    private function form(Person $p): array
    {
        return [
            'version' => $p->version, 'name' => $p->name, 'stamp' => $p->stamp, 'role' => $p->role->value,
            'base' => $p->base, 'shift' => $p->shift, 'weekdays' => $p->weekdays, 'trainee' => $p->trainee,
            'supervisor' => $p->supervisor_id, 'leaves' => $p->leaves,
        ];
    }

    public function test_somebody_new_holds_what_is_entered_and_signs_only_with_a_pin_of_their_own(): void
    {
        $room = $this->as('ines', 'POST', 'people', self::NEW)->assertOk()->json();
        $id = $room['person']['id'];
        self::assertSame(
            [
                'petra', [1, 2, 5], false,
                'Petra Lund holds no authority: works no card, inspects and certifies nothing.',
            ],
            [$room['login'], $room['weekdays'], $room['ownPin'], $room['sentence']],
        );
        foreach ([
            ['skill', 'airframe', null], ['rating', 'OLN', '2027-03-31'], ['authority', 'perform', '2026-12-31'],
        ] as [$kind, $value, $until]) {
            $room = $this->as('ines', 'POST', "people/{$id}/qualifications", [
                'version' => $room['version'], 'do' => 'grant', 'kind' => $kind, 'value' => $value, 'until' => $until,
                'paper' => 'file T90, sheet 1',
            ])->assertOk()->json();
        }
        self::assertSame('Petra Lund works cards; everything is valid until Thu 31 Dec.', $room['sentence']);
        self::assertSame(
            [
                'the authority to work cards until Thu 31 Dec, by file T90, sheet 1',
                'the OLN rating until Wed 31 Mar 2027, by file T90, sheet 1',
                'the airframe skill without an end, by file T90, sheet 1',
                'entered as technician T90 at Skarnholm, early shift',
            ],
            array_column($room['entries'], 'said'),
        );

        $card = Card::where('title', 'Flap travel timing')->where('state', Card::IN_WORK)->firstOrFail();
        DB::table('steps')->where('card_id', $card->id)->update(['state' => 'done']);
        Assignment::create(['card_id' => $card->id, 'person_id' => $id, 'role' => 'perform']);
        CardHand::create(['card_id' => $card->id, 'person_id' => $id, 'since' => '2026-05-05T12:00:00Z']);
        $sign = fn(string $pin) => $this->as('petra', 'POST', "cards/{$card->id}/sign", [
            'version' => $card->refresh()->version, 'stamp' => 'T90', 'pin' => $pin,
            'counted' => $card->loans()->pluck('quantity', 'id')->all(),
        ]);
        self::assertStringContainsString(
            'was given to you by somebody else',
            $sign('7305')->assertStatus(422)->json('message'),
        );
        $code = $this->as('tor', 'POST', "people/{$id}/code", ['stamp' => 'X02', 'pin' => '5520'])->assertOk()
            ->json('code');
        $this->as('petra', 'POST', 'me/secrets', [
            'now' => 'given-by-ines', 'pin' => '8261', 'password' => 'a-sentence-of-my-own', 'code' => $code,
        ])->assertOk()->assertJsonPath('ownPin', true)->assertJsonPath('ownPassword', true);
        $sign('7305')->assertStatus(422);
        $sign('8261')->assertOk();
        self::assertTrue(app(Records::class)->verify()['broken'] === null);
        self::assertStringNotContainsString(
            '8261',
            (string) DB::table('records')->get()->toJson(),
            'no PIN in the record',
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongNew(): iterable
    {
        yield 'login taken' => [['login' => 'ODA'], 'Somebody else signs in as oda'];
        yield 'stamp taken' => [['stamp' => 'T27'], "Stamp T27 is Oda Fenn's"];
        yield 'trainee alone' => [['trainee' => true], 'choose the supervisor'];
        yield 'trainee as an inspector'
            => [['trainee' => true, 'role' => 'inspector', 'supervisor' => 2], 'entered as a technician'];
        yield 'under a controller' => [['trainee' => true, 'supervisor' => 1], 'Ines Maro cannot stand over a trainee'];
        yield 'supervisor of nobody' => [['supervisor' => 2], 'Only a trainee has a supervisor'];
        yield 'leaves before they come' => [['leaves' => '2026-05-04'], 'is past'];
        yield 'no such base' => [['base' => 'Nowhere'], 'base'];
        yield 'a day twice' => [['weekdays' => [1, 1]], 'day of the week must not be given twice'];
        yield 'a stamp in small letters' => [['stamp' => 't 90'], 'capital letters'];
        yield 'a PIN of letters' => [['pin' => 'abcd'], '4 to 8 digits'];
        yield 'a short password' => [['password' => 'short'], 'at least 10'];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrongNew')]
    public function test_who_cannot_be_entered(array $wrong, string $why): void
    {
        self::assertStringContainsString(
            $why,
            $this->as('ines', 'POST', 'people', [...self::NEW, ...$wrong])->assertStatus(422)->json('message'),
        );
        self::assertSame(26, Person::count());
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function wrongChange(): iterable
    {
        yield 'nothing' => ['oda', [], 'Nothing differs'];
        yield 'seen an older one' => ['oda', ['version' => 7, 'shift' => 'early'], 'Somebody else changed'];
        yield 'a stamp that signed as another' => ['oda', ['stamp' => 'T31'], "Ivo Sand's"];
        yield 'the supervisor leaves' => ['stig', ['leaves' => '2026-06-01'], 'Lio Kest works under Stig Omdal'];
        yield 'the supervisor becomes a controller'
            => ['stig', ['role' => 'controller'], 'Lio Kest works under Stig Omdal'];
        yield 'own role' => ['ines', ['role' => 'technician'], 'No controller would be left'];
        yield 'the last controller leaves' => ['ines', ['leaves' => '2026-06-01'], 'No controller would be left'];
        yield 'too little rest from tomorrow'
            => ['oda', ['shift' => 'early'], 'only 8 h of rest before Fri 8 May, 06:00'];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrongChange')]
    public function test_what_cannot_be_changed(string $login, array $wrong, string $why): void
    {
        $person = $this->person($login);
        DB::table('rota_days')->insert(
            ['person_id' => $this->person('oda')->id, 'date' => '2026-05-07', 'shift' => 'late', 'why' => 'stands in'],
        );
        $response = $this->as('ines', 'POST', "people/{$person->id}", [...$this->form($person), ...$wrong]);
        self::assertContains($response->getStatusCode(), [409, 422]);
        self::assertStringContainsString($why, $response->json('message'));
        self::assertSame($person->version, $person->refresh()->version);
    }

    public function test_a_change_is_kept_with_what_was_before_and_a_stamp_is_never_given_again(): void
    {
        $oda = $this->person('oda');
        $room = $this->as(
            'ines',
            'POST',
            "people/{$oda->id}",
            [...$this->form($oda), 'stamp' => 'T77', 'weekdays' => [1, 2, 3]],
        )
            ->assertOk()->json();
        self::assertStringStartsWith('stamp T27 → T77; days of the week ', $room['entries'][0]['said']);
        self::assertStringEndsWith(' → Mon Tue Wed', $room['entries'][0]['said']);
        self::assertStringContainsString(
            'Stamp T27 has signed before, as Oda Fenn (T27)',
            $this->as('ines', 'POST', 'people', [...self::NEW, 'stamp' => 'T27'])->assertStatus(422)->json('message'),
        );
        $this->as('ines', 'POST', "people/{$oda->id}", [...$this->form($oda->refresh()), 'stamp' => 'T27'])->assertOk();
    }

    public function test_a_renewal_takes_a_lapse_away_and_a_withdrawal_names_the_cards_it_hits(): void
    {
        $sanne = $this->person('sanne');
        $held = fn(array $body) => $this->as('ines', 'POST', "people/{$sanne->id}/qualifications", [
            'version' => $sanne->refresh()->version, 'kind' => 'rating', 'value' => 'OLN', 'paper' => 'course 12',
            ...$body,
        ]);
        $lapses = fn(): array => array_column(
            array_filter(
                $this->as('mika', 'GET', 'crew')->json('lapses'),
                static fn(array $l): bool => $l['personId'] === $sanne->id,
            ),
            'said',
        );
        self::assertSame(['loses the OLN rating in 33 days'], $lapses());
        $room = $held(['do' => 'grant', 'until' => '2028-06-07'])->assertOk()->json();
        self::assertSame([], $lapses());
        self::assertSame(
            'the OLN rating renewed until Wed 7 Jun 2028, was until Sun 7 Jun; by course 12',
            $room['entries'][0]['said'],
        );
        $asked = array_column($room['qualifications'], 'asked');
        $rating = array_search(
            'OLN',
            array_column(array_column($room['qualifications'], 'qualification'), 'value'),
            true,
        );
        self::assertSame(['004-12', '004-13'], array_column($asked[$rating], 'number'));
        $room = $held(['do' => 'withdraw', 'paper' => 'failed the check'])->assertOk()->json();
        self::assertSame(['has no OLN rating'], $lapses());
        self::assertSame(['004-12', '004-13'], array_column($room['lapses'][0]['hits'], 'number'));
        self::assertSame(
            'Sanne Dorn has no OLN rating: 2 planned cards cannot be worked as assigned.',
            $room['sentence'],
        );
        self::assertStringContainsString(
            'has no OLN rating',
            $held(['do' => 'withdraw'])->assertStatus(422)->json('message'),
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function wrongHeld(): iterable
    {
        yield 'own' => ['ines', [], 'Nobody enters what they hold themselves'];
        yield 'past' => ['oda', ['until' => '2026-05-04'], 'is past'];
        yield 'no such skill' => ['oda', ['value' => 'juggling'], 'There is no skill "juggling"'];
        yield 'a trainee inspects' => [
            'lio', ['kind' => 'authority', 'value' => 'duplicate'], 'inspects and certifies nothing',
        ];
        yield 'without a paper' => ['oda', ['paper' => ''], 'Say what it rests on'];
        yield 'seen an older one' => ['oda', ['version' => 3], 'Somebody else changed'];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrongHeld')]
    public function test_what_cannot_be_held(string $login, array $wrong, string $why): void
    {
        $before = Qualification::count();
        $response = $this->as('ines', 'POST', "people/{$this->person($login)->id}/qualifications", [
            'version' => 0, 'do' => 'grant', 'kind' => 'skill', 'value' => 'avionics', 'until' => null,
            'paper' => 'p', ...$wrong,
        ]);
        self::assertContains($response->getStatusCode(), [409, 422]);
        self::assertStringContainsString($why, $response->json('message'));
        self::assertSame($before, Qualification::count());
    }

    public function test_who_leaves_works_until_the_last_day_and_is_gone_the_day_after(): void
    {
        $oda = $this->person('oda');
        $this->as('ines', 'POST', "people/{$oda->id}", [...$this->form($oda), 'leaves' => '2026-05-06'])->assertOk();
        $there = fn(string $date): bool => in_array(
            $oda->id,
            array_column(
                $this->as('ines', 'GET', "crew/shift?base=Skarnholm&date={$date}&shift=late")->json('people'),
                'id',
            ),
            true,
        );
        self::assertSame([true, false], [$there('2026-05-06'), $there('2026-05-07')]);
        $said = array_column(
            array_filter(
                $this->as('mika', 'GET', 'crew')->json('lapses'),
                static fn(array $l): bool => $l['personId'] === $oda->id,
            ),
            'said',
        );
        self::assertSame(['leaves tomorrow'], $said);
        $this->as('oda', 'GET', 'floor')->assertOk();
        app(Clock::class)->start(Instant::parse('2026-05-06T22:00:01Z'));
        $this->as('oda', 'GET', 'floor')->assertStatus(401);
        Auth::forgetGuards();
        Auth::shouldUse('web');
        $this->postJson('/api/sign-in', ['login' => 'oda', 'password' => 'hangar-demo'], [
            'Referer' => 'http://localhost',
        ])->assertStatus(422);
        self::assertNotContains($oda->id, array_column($this->as('mika', 'GET', 'crew')->json('people'), 'id'));
        self::assertStringStartsWith(
            'Oda Fenn left on Wed 6 May',
            $this->as('mika', 'GET', "people/{$oda->id}")->json('sentence'),
        );
        $candidates = $this->as(
            'ines',
            'GET',
            'cards/'.Card::where('number', '001-01')->value('id').'/candidates?role=perform',
        )
            ->json();
        self::assertNotContains($oda->id, array_column($candidates, 'id'));
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function wrongSecrets(): iterable
    {
        yield 'wrong password of today'
            => [['now' => 'guessed', 'pin' => '8261'], 'The password you have today is wrong'];
        yield 'nothing new' => [['now' => 'hangar-demo'], 'Enter a new password, a new PIN, or both.'];
        yield 'all the same' => [['now' => 'hangar-demo', 'pin' => '4444'], 'soon guessed'];
        yield 'counting up' => [['now' => 'hangar-demo', 'pin' => '34567'], 'soon guessed'];
        yield 'counting down' => [['now' => 'hangar-demo', 'pin' => '9876'], 'soon guessed'];
        yield 'too short' => [['now' => 'hangar-demo', 'pin' => '123'], '4 to 8 digits'];
    }

    /** @param array<string, string> $body */
    #[DataProvider('wrongSecrets')]
    public function test_secrets_that_cannot_be(array $body, string $why): void
    {
        self::assertStringContainsString(
            $why,
            $this->as('oda', 'POST', 'me/secrets', $body)->assertStatus(422)->json('message'),
        );
        self::assertSame(0, DB::table('records')->where('what', 'person.secrets_chosen')->count());
    }

    public function test_secrets_given_anew_end_every_session_and_must_be_replaced(): void
    {
        $oda = $this->person('oda');
        DB::table('sessions')->insert(['id' => 'x', 'user_id' => $oda->id, 'payload' => '', 'last_activity' => 1]);
        $oda->createToken('script');
        $this->as('ines', 'POST', "people/{$oda->id}/secrets", ['password' => 'given-again-1', 'pin' => '7305'])
            ->assertOk()->assertJsonPath('ownPin', false);
        self::assertSame([0, 0], [DB::table('sessions')->where('user_id', $oda->id)->count(), $oda->tokens()->count()]);
        self::assertStringContainsString(
            'the PIN you were given',
            $this->as('oda', 'POST', 'me/secrets', ['now' => 'given-again-1', 'pin' => '7305'])->assertStatus(422)
                ->json('message'),
        );
        $this->as('ines', 'POST', "people/{$this->person('ines')->id}/secrets", [
            'password' => 'given-again-1', 'pin' => '7305',
        ])->assertStatus(422);
    }
}
