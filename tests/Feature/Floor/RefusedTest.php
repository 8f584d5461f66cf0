<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Floor\Model\Card;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Shared\Clock;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** What is refused at a card, at a crew and at a visit: in words, with nothing changed. */
final class RefusedTest extends WorldCase
{
    private const RUNA = ['stamp' => 'I04', 'pin' => '4410'];

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
    }

    private static function card(string $number): Card
    {
        return Card::where('number', $number)->firstOrFail();
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return TestResponse<Response>
     */
    private function send(string $who, string $number, string $path, array $body = []): TestResponse
    {
        $card = self::card($number);

        return $this->as($who, 'POST', "cards/{$card->id}/{$path}", ['version' => $card->version, ...$body]);
    }

    /** @param Closure(self): (Closure(): TestResponse<Response>) $arrange what leads there, and then what is asked */
    #[DataProvider('refusals')]
    public function test_it_is_refused_in_words_and_nothing_is_changed(Closure $arrange, string $words): void
    {
        $ask = $arrange($this);
        $all = static fn(): array => array_map(
            static fn(string $table): array => DB::table($table)->get()->all(),
            ['cards', 'steps', 'assignments', 'presences', 'safing_devices', 'visits', 'shift_crews', 'records'],
        );
        $before = $all();
        self::assertSame($words, $ask()->assertStatus(422)->json('message'));
        self::assertEquals($before, $all());
    }

    /** @return iterable<string, array{Closure, string}> */
    public static function refusals(): iterable
    {
        yield 'an inspection of a card that is not signed' => [
            static fn(self $t): Closure => static fn() => $t->send('runa', '001-06', 'inspect', self::RUNA),
            'Card 001-06 is not waiting for an independent inspection.',
        ];
        yield 'an inspection of a step that is none' => [
            static fn(self $t): Closure => static fn() => $t->send('runa', '015-02', 'steps/1/inspect', [
                'covers' => ['all'], ...self::RUNA,
            ]),
            'Step 1 of card 015-02 is not waiting for an independent inspection.',
        ];
        yield 'an inspection before the work' => [
            static fn(self $t): Closure => static fn() => $t->send('runa', '015-02', 'steps/13/inspect', [
                'covers' => ['all'], ...self::RUNA,
            ]),
            'Step 8 comes first: there is nothing to inspect yet.',
        ];
        yield 'a signed card handed over' => [
            static function (self $t): Closure {
                self::card('015-02')->update(['state' => Card::SIGNED]);

                return static fn() => $t->send('oda', '015-02', 'hand-over', ['said' => 'Take it']);
            },
            'Card 015-02 is signed; there is nothing left to hand over.',
        ];
        yield 'a card taken over that nobody handed over' => [
            static fn(self $t): Closure => static fn() => $t->send('oda', '015-02', 'take-over'),
            'Card 015-02 is not handed over.',
        ];
        yield 'somebody called clear who is not there' => [
            static fn(self $t): Closure => static fn() => $t->send('oda', '015-02', 'clear', [
                'person' => $t->person('runa')->id,
            ]),
            'That person is not at this card.',
        ];
        yield 'a device removed that nobody fitted' => [
            static function (self $t): Closure {
                $remove = Step::where('kind', 'safing_remove')->where('card_id', self::card('015-02')->id)
                    ->firstOrFail();
                Step::where('card_id', $remove->card_id)->where('no', '<', $remove->no)
                    ->update(['state' => Step::DONE, 'done_by' => $t->person('oda')->id]);
                Step::where('card_id', $remove->card_id)->where('no', '>=', $remove->no)
                    ->update(['state' => Step::OPEN]);
                SafingDevice::where('card_id', $remove->card_id)->delete();

                return static fn() => $t->send('oda', '015-02', "steps/{$remove->no}", ['do' => 'done']);
            },
            'Nothing fitted by step 3 is in the safing register. Look at the aircraft before you go on.',
        ];
    }

    /** A bay that is misspelt is no apron where nobody is in the way. */
    public function test_a_visit_in_a_bay_that_there_is_not(): void
    {
        $item = $this->as('ines', 'GET', 'fleet/QA-VFC')->json('items.0.key');
        $made = fn(string $bay): TestResponse => $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'Work', 'bay' => $bay, 'start' => '2026-05-05', 'end' => '2026-05-06',
            'items' => [$item],
        ]);
        self::assertSame(
            'There is no bay "Skarnholm bay 01". Choose one of Port Ellery, Skarnholm bay 1, Skarnholm bay 2, '
                .'Skarnholm bay 3, Skarnholm wash place, or "line" for the apron. Nothing was saved.',
            $made('Skarnholm bay 01')->assertStatus(422)->json('message'),
        );
        $made('line')->assertCreated();
        $this->expectExceptionMessage('a visit in a bay that there is not');
        DB::table('visits')->where('title', 'Work')->update(['bay' => 'bay 9']);
    }

    /** A card from 14 to 22 h leaves nothing for the certificate of an aircraft that is ready at 22 h. */
    public function test_a_shift_gives_nobody_more_hours_than_it_has(): void
    {
        self::card('001-25')->update(
            ['planned_start' => '2026-05-05T12:00:00Z', 'planned_end' => '2026-05-05T20:00:00Z'],
        );
        Card::where('visit_id', 15)->update([
            'planned_start' => '2026-05-05T19:00:00Z', 'planned_end' => '2026-05-05T20:00:00Z',
        ]);
        $tor = $this->person('tor')->id;
        $work = self::card('001-25')->id.':perform:airframe:1';
        $at = ['base' => 'Skarnholm', 'date' => '2026-05-05', 'shift' => 'late', 'version' => 0];
        $said = fn(array $places): ?array => $this->as('ines', 'POST', 'crew/shift', [...$at, 'places' => $places])
            ->json('lines.*.message');
        self::assertSame(
            ['Tor Aldis has no 8 h left on this shift', 'Tor Aldis has no 1 h left on this shift'],
            $said([$work => $tor, 'v15:certify' => $tor]),
        );
        self::assertNull($said(['v15:certify' => $tor]), 'by itself it fits');
    }
}
