<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Floor\Model\Card;
use App\Floor\Model\Clocking;
use App\Shared\Clock;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;
use Tests\Feature\WorldCase;

/** How long each person was at a card: on as they come, off as they leave, also when they come to another. */
final class ClockingTest extends WorldCase
{
    private function at(string $time): void
    {
        app(Clock::class)->start(Instant::parse("2026-05-05T{$time}:00Z"));
    }

    public function test_each_is_on_from_coming_to_leaving_and_the_hours_are_those(): void
    {
        DB::table('presences')->delete();
        [$one, $other] = Card::with('assignments')->where('state', Card::OPEN)
            ->whereRelation('aircraft', 'mark', 'QA-VFA')->orderBy('id')->limit(2)->get()->all();
        $here = fn(Card $card, string $who) => $this->as($who, 'POST', "cards/{$card->id}/here")->assertOk();
        $this->at('12:00');
        $here($one, 'oda');
        $this->at('12:30');
        $here($one, 'bram');
        // Coming once more to where one is changes nothing.
        $here($one, 'oda');
        $this->at('13:20');
        $here($other, 'oda');
        $this->at('13:30');
        $this->as('bram', 'POST', "cards/{$one->id}/clear", ['person' => $this->person('bram')->id])->assertOk();
        $this->at('14:00');
        $card = $this->as('ines', 'GET', "cards/{$one->id}")->assertOk();
        self::assertSame(
            [['Oda Fenn', '1 h 20 min', false], ['Bram', '1 h', false]],
            array_map(static fn(array $c): array => [
                $c['name'] === 'Oda Fenn' ? $c['name'] : explode(' ', $c['name'])[0], $c['time'], $c['on'],
            ], (array) $card->json('clocked')),
        );
        self::assertSame(2.3, $card->json('clockedHours'));
        self::assertSame(2.3, Clocking::hours($one->id, app(Clock::class)->now()));
        $card = $this->as('ines', 'GET', "cards/{$other->id}")->assertOk();
        self::assertSame([['40 min', true]], array_map(
            static fn(array $c): array => [$c['time'], $c['on']],
            (array) $card->json('clocked'),
        ));
        self::assertSame(1, Clocking::whereNull('until')->where('person_id', $this->person('oda')->id)->count());
    }
}
