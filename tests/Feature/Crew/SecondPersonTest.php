<?php

declare(strict_types=1);

namespace Tests\Feature\Crew;

use App\Crew\Model\Person;
use App\Crew\Model\Qualification;
use App\Shared\Clock;
use App\Shared\Records;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** Nobody alone can sign as somebody else: the PIN needs a second person's code, and guessing at one locks it. */
final class SecondPersonTest extends WorldCase
{
    private const GIVEN = ['password' => 'blue-lanterns-7', 'pin' => '7305'];

    private const NEW = [
        'login' => 'petra', 'name' => 'Petra Lund', 'stamp' => 'T90', 'role' => 'controller', 'base' => 'Skarnholm',
        'shift' => 'early', 'weekdays' => [1, 2, 5], 'trainee' => false, 'supervisor' => null, 'leaves' => null,
        ...self::GIVEN,
    ];

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
    }

    /** @param array<string, string> $more */
    private function choose(string $login, array $more): string
    {
        $answer = $this->as($login, 'POST', 'me/secrets', [
            'now' => self::GIVEN['password'], 'pin' => '8261', 'password' => 'a-sentence-of-my-own', ...$more,
        ]);

        return $answer->status() === 200 ? 'chosen' : (string) $answer->json('message');
    }

    public function test_whoever_gives_a_password_cannot_take_the_signature_with_it(): void
    {
        $runa = $this->person('runa');
        $this->as('ines', 'POST', "people/{$runa->id}/secrets", self::GIVEN)->assertOk()
            ->assertJsonPath('may', ['rota', 'edit', 'qualify']);
        // What ines can do, alone: sign in with the password she gave, and guess.
        self::assertStringContainsString('takes a code from a second person', $this->choose('runa', []));
        self::assertStringContainsString('no code for you', $this->choose('runa', ['code' => '12345678']));
        $mine = ['stamp' => 'C01', 'pin' => '1101'];
        self::assertStringContainsString(
            'comes from somebody else',
            $this->as('ines', 'POST', "people/{$runa->id}/code", $mine)->assertStatus(422)->json('message'),
        );
        // Nor through somebody whom she invents: who has no PIN vouches for nobody.
        $petra = $this->as('ines', 'POST', 'people', self::NEW)->assertOk()->json('person.id');
        $this->as('petra', 'POST', "people/{$runa->id}/code", ['stamp' => 'T90', 'pin' => '7305'])->assertStatus(422);
        self::assertStringContainsString(
            'comes from somebody else',
            $this->as('ines', 'POST', "people/{$petra}/code", $mine)->assertStatus(422)->json('message'),
        );
        self::assertFalse($runa->refresh()->own_pin);
        self::assertNull($runa->pin_code);
    }

    public function test_a_second_person_vouches_and_everybody_concerned_is_told(): void
    {
        $runa = $this->person('runa');
        $this->as('ines', 'POST', "people/{$runa->id}/secrets", self::GIVEN)->assertOk();
        self::assertSame([$runa->id, $this->person('tor')->id], array_values(
            array_intersect(DB::table('notices')->pluck('person_id')->all(), [$runa->id, $this->person('tor')->id]),
        ));
        self::assertContains('vouch', $this->as('tor', 'GET', "people/{$runa->id}")->json('may'));
        $this->as('oda', 'POST', "people/{$runa->id}/code", ['stamp' => 'T27', 'pin' => '2741'])->assertStatus(403);
        $code = $this->as('tor', 'POST', "people/{$runa->id}/code", ['stamp' => 'X02', 'pin' => '5520'])->assertOk()
            ->json('code');
        self::assertMatchesRegularExpression('/^\d{8}$/', $code);
        self::assertStringContainsString(
            'The code is wrong',
            $this->choose('runa', ['code' => strrev($code) === $code ? '00000001' : strrev($code)]),
        );
        self::assertStringContainsString('still knows it', $this->choose('runa', ['code' => $code, 'password' => '']));
        self::assertSame('chosen', $this->choose('runa', ['code' => $code]));
        self::assertStringNotContainsString(
            $code,
            DB::table('records')->get()->toJson().DB::table('answers')->get()->toJson()
                .DB::table('notices')->get()->toJson(),
            'the code is written nowhere',
        );
        self::assertSame(
            ['person.secrets_given', 'person.pin_code_made', 'person.secrets_chosen'],
            DB::table('records')->where('subject', "person:{$runa->id}")->whereIn('what', [
                'person.secrets_given', 'person.pin_code_made', 'person.secrets_chosen',
            ])->orderBy('id')->pluck('what')->all(),
        );
        self::assertNull(app(Records::class)->verify()['broken']);
        // It was for once.
        $runa->refresh()->forceFill(['own_pin' => false])->save();
        self::assertStringContainsString(
            'no code for you',
            $this->choose('runa', [
                'now' => 'a-sentence-of-my-own', 'password' => 'another-long-one-9', 'pin' => '9264', 'code' => $code,
            ]),
        );
    }

    public function test_nobody_alone_gives_the_authority_to_judge_the_work_of_others(): void
    {
        $oda = $this->person('oda');
        $enter = fn(string $value, string $until): TestResponse => $this->as('ines', 'POST', "people/{$oda->id}/qualifications", [
            'version' => $oda->refresh()->version, 'do' => 'grant', 'kind' => 'authority', 'value' => $value,
            'until' => $until, 'paper' => 'PD 12',
        ]);
        $confirm = fn(string $who, string $stamp, string $pin, string $value = 'duplicate'): TestResponse
            => $this->as(
                $who,
                'POST',
                "people/{$oda->id}/qualifications/{$value}/confirm",
                ['stamp' => $stamp, 'pin' => $pin],
            );
        $holds = static fn(): ?string => Qualification::where([
            'person_id' => $oda->id, 'kind' => 'authority', 'value' => 'duplicate',
        ])->toBase()->value('valid_until');
        $enter('duplicate', '2027-03-31')->assertOk()->assertJsonPath('waiting.0.mayConfirm', false)
            ->assertJsonPath('waiting.0.by', 'Ines Maro');
        self::assertNull($holds());

        self::assertStringContainsString('You entered', $confirm('ines', 'C01', '1101')->json('message'));
        $confirm('oda', 'T27', '2741')->assertStatus(403);
        $confirm('tor', 'X02', '0000')->assertStatus(422);
        self::assertStringContainsString('Nothing waits', $confirm('tor', 'X02', '5520', 'certify')->json('message'));
        self::assertNull($holds());
        self::assertStringContainsString(
            'waits for you',
            implode(' ', array_column($this->as('tor', 'GET', 'moment')->json('notices'), 'said')),
        );
        $confirm('tor', 'X02', '5520')->assertOk()->assertJsonPath('waiting', []);
        self::assertSame('2027-03-31', $holds());
        self::assertStringContainsString(
            'entered by Ines Maro, confirmed by',
            implode(' ', array_column($this->as('oda', 'GET', 'moment')->json('notices'), 'said')),
        );
        $record = DB::table('records')->where('what', 'person.granted')->orderByDesc('id')->first();
        self::assertStringStartsWith('Tor', (string) $record?->who);
        self::assertSame('Ines Maro (C01)', json_decode((string) $record?->data, true)['entered_by']);

        // Renewed, it stands to its old day until the second person has seen the paper; taken back, it waits no more.
        $enter('duplicate', '2028-03-31')->assertOk();
        self::assertSame('2027-03-31', $holds());
        $end = fn(string $do): TestResponse => $this->as('ines', 'POST', "people/{$oda->id}/qualifications", [
            'version' => $oda->refresh()->version, 'do' => $do, 'kind' => 'authority', 'value' => 'duplicate',
            'paper' => 'wrong person',
        ]);
        $oda->refresh()->update(['leaves' => '2026-05-04']);
        self::assertSame(1, $this->as('tor', 'GET', 'moment')->json('waiting.crew'), 'only the demo\'s waits now');
        self::assertStringContainsString(
            'has left',
            $confirm('tor', 'X02', '5520')->assertStatus(422)->json('message'),
        );
        $oda->update(['leaves' => null]);
        $end('take_back')->assertOk()->assertJsonPath('waiting', []);
        self::assertSame('2027-03-31', $holds());
        $end('take_back')->assertStatus(422);
        $confirm('tor', 'X02', '5520')->assertStatus(422);
        $enter('duplicate', '2028-03-31')->assertOk();
        $end('withdraw')->assertOk()->assertJsonPath('waiting', []);
        self::assertNull($holds());
        $confirm('tor', 'X02', '5520')->assertStatus(422);
        self::assertNull(app(Records::class)->verify()['broken']);
    }

    public function test_a_code_holds_for_a_day(): void
    {
        $runa = $this->person('runa');
        $this->as('ines', 'POST', "people/{$runa->id}/secrets", self::GIVEN)->assertOk();
        $code = $this->as('tor', 'POST', "people/{$runa->id}/code", ['stamp' => 'X02', 'pin' => '5520'])->assertOk()
            ->json('code');
        app(Clock::class)->start(Instant::parse('2026-05-06T12:21:00Z'));
        self::assertStringContainsString('older than 24 hours', $this->choose('runa', ['code' => $code]));
    }

    public function test_wrong_pins_in_a_row_lock_it_and_are_written_down(): void
    {
        $sign = fn(string $pin): string
            => (string) $this->as('tor', 'POST', 'release/1', ['stamp' => 'X02', 'pin' => $pin])->json('message');
        $guess = fn(string $pin): string => (string) $this->as(
            'tor',
            'POST',
            "people/{$this->person('runa')->id}/code",
            ['stamp' => 'X02', 'pin' => $pin],
        )->json('message');
        $this->as('ines', 'POST', "people/{$this->person('runa')->id}/secrets", self::GIVEN)->assertOk();
        foreach (['0001', '0002', '0003', '0004'] as $pin) {
            self::assertStringContainsString('Stamp or PIN is wrong', $guess($pin));
        }
        self::assertSame('', $guess('5520'), 'the right one begins the count anew');
        foreach (['0001', '0002', '0003', '0004', '0005'] as $pin) {
            self::assertStringContainsString('Stamp or PIN is wrong', $guess($pin));
        }
        self::assertStringContainsString('locked until 14:35', $guess('5520'));
        self::assertSame(1, DB::table('records')->where('what', 'person.pin_locked')->count());
        self::assertSame(
            1,
            DB::table('notices')->where('person_id', $this->person('tor')->id)->where('said', 'like', '5 wrong PINs%')
                ->count(),
        );
        app(Clock::class)->start(Instant::parse('2026-05-05T12:35:01Z'));
        self::assertSame('', $guess('5520'));
        self::assertStringNotContainsString('Stamp or PIN', $sign('5520'));
    }

    public function test_a_wrong_pin_leaves_the_key_free_and_is_never_told_as_saved(): void
    {
        $move = fn(string $pin) => $this->as(
            'ines',
            'POST',
            'components/1/move',
            ['mark' => null, 'position' => 'shelf', 'reason' => 'to be seen', 'stamp' => 'C01', 'pin' => $pin],
            "key of {$pin}",
        );
        foreach ([1, 2] as $again) {
            self::assertStringContainsString(
                'Stamp or PIN is wrong',
                (string) $move('0000')->assertStatus(422)->json('message'),
                "time {$again}",
            );
        }
        self::assertSame(0, DB::table('answers')->count());
        self::assertSame(2, $this->person('ines')->pin_tries);
        $move('1101')->assertOk();
        self::assertSame(1, DB::table('answers')->count());
        self::assertSame(0, $this->person('ines')->pin_tries);
    }

    /** @return iterable<string, array{string, string}> */
    public static function plain(): iterable
    {
        yield 'one letter' => ['aaaaaaaaaa', 'fewer than five'];
        yield 'two in turn' => ['abababababab', 'fewer than five'];
        yield 'the word itself' => ['password123', '"password"'];
        yield 'the name' => ['oda-is-here', '"oda"'];
    }

    #[DataProvider('plain')]
    public function test_what_is_soon_guessed_is_refused(string $password, string $why): void
    {
        self::assertStringContainsString(
            $why,
            $this->as('oda', 'POST', 'me/secrets', ['now' => 'hangar-demo', 'password' => $password])->assertStatus(422)
                ->json('message'),
        );
        self::assertStringContainsString(
            $why,
            $this->as('ines', 'POST', "people/{$this->person('oda')->id}/secrets", [
                'password' => $password, 'pin' => '7305',
            ])->assertStatus(422)->json('message'),
        );
        self::assertSame(
            'chosen',
            $this->choose('oda', ['now' => 'hangar-demo', 'password' => 'a whole sentence about oda and the rain']),
        );
        self::assertTrue(Person::firstWhere('login', 'oda')?->own_pin);
    }
}
