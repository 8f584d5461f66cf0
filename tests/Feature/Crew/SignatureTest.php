<?php

declare(strict_types=1);

namespace Tests\Feature\Crew;

use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use Closure;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\GovernorCard;
use Tests\Feature\WorldCase;

/**
 * At each door that asks for a signature: the stamp wrong alone, the PIN wrong alone, another's of both. Nothing is
 * signed by any of them.
 */
final class SignatureTest extends WorldCase
{
    use GovernorCard;

    /** @return iterable<string, array{string, string, string, string}> the door, who comes, their stamp and PIN */
    public static function doors(): iterable
    {
        yield 'a card signed' => ['sign', 'oda', 'T27', '2741'];
        yield 'a card inspected' => ['inspect', 'runa', 'I04', '4410'];
        yield 'a finding deferred' => ['defer', 'ines', 'C01', '1101'];
        yield 'a component moved' => ['move', 'ines', 'C01', '1101'];
        yield 'an aircraft released' => ['release', 'tor', 'X02', '5520'];
        yield 'a check on the line' => ['line', 'aki', 'T35', '3581'];
        yield 'a code for a PIN' => ['code', 'tor', 'X02', '5520'];
    }

    #[DataProvider('doors')]
    public function test_only_ones_own_stamp_with_ones_own_pin(
        string $door,
        string $login,
        string $stamp,
        string $pin,
    ): void {
        [$path, $body, $signed] = $this->door($door);
        $send = fn(string $stamp, string $pin)
            => $this->as($login, 'POST', $path, $body() + ['stamp' => $stamp, 'pin' => $pin]);
        foreach ([
            'another stamp' => ['T99', $pin], 'another\'s stamp' => [$stamp === 'T31' ? 'T19' : 'T31', $pin],
            'another PIN' => [$stamp, '9999'], 'no PIN at all' => [$stamp, ''], 'no stamp at all' => ['', $pin],
        ] as $what => [$s, $p]) {
            $message = (string) $send($s, $p)->assertStatus(422)->json('message');
            self::assertMatchesRegularExpression('/wrong|Enter your (PIN|stamp)/', $message, $what);
            self::assertFalse($signed(), $what);
        }
        DB::table('people')->update(['pin_tries' => 0]);
        self::assertContains($send($stamp, $pin)->getStatusCode(), [200, 201]);
        self::assertTrue($signed());
    }

    /** A daily, worked by Aki and signed; only that it is good is not. @return int its check */
    private function lineCheck(): int
    {
        $item = DB::table('programme_items')->where('line', 'daily')
            ->where('type_id', DB::table('aircraft')->where('mark', 'Q-402')->value('type_id'))->value('id');
        $card = $this->as('aki', 'POST', 'line', ['mark' => 'Q-402', 'item' => $item])->assertCreated();
        $aki = $this->person('aki')->id;
        Step::where('card_id', $card->json('id'))->update(['state' => Step::DONE, 'done_by' => $aki]);
        DB::table('card_hands')->insert([
            'card_id' => $card->json('id'), 'person_id' => $aki, 'since' => '2026-05-05T10:00:00Z',
        ]);
        Card::whereKey($card->json('id'))->update([
            'state' => Card::CLOSED, 'signed_by' => $aki, 'signed_at' => '2026-05-05T10:20:00Z',
        ]);

        return (int) $card->json('visitId');
    }

    /** @return array{string, Closure(): array<string, mixed>, Closure(): bool} path, body, and whether it was signed */
    private function door(string $door): array
    {
        $card = Card::where(['title' => 'Flap travel timing', 'state' => Card::IN_WORK])->firstOrFail();
        if ($door === 'sign' || $door === 'inspect') {
            Step::where('card_id', $card->id)->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
            Assignment::firstOrCreate(
                ['card_id' => $card->id, 'person_id' => $this->person('oda')->id, 'role' => 'perform'],
            );
            DB::table('card_hands')->where('card_id', $card->id)->delete();
            DB::table('card_hands')->insert(
                ['card_id' => $card->id, 'person_id' => $this->person('oda')->id, 'since' => '2026-05-05T10:00:00Z'],
            );
            DB::table('tool_loans')->where('card_id', $card->id)
                ->update(['in_at' => '2026-05-05T12:00:00Z', 'in_by' => 2]);
            $card->update([
                'independent_inspection' => true, 'covers' => ['leak'],
                ...$door === 'inspect' ? [
                    'state' => Card::SIGNED, 'signed_by' => $this->person('oda')->id,
                    'signed_at' => '2026-05-05T12:00:00Z',
                ] : [],
            ]);
        }

        $line = $door === 'line' ? $this->lineCheck() : 0;

        return match ($door) {
            'line' => [
                "line/{$line}/good",
                static fn(): array => [],
                static fn(): bool => DB::table('validities')->where('visit_id', $line)->exists(),
            ],
            'sign' => [
                "cards/{$card->id}/sign",
                static fn(): array => ['version' => $card->refresh()->version, 'spent' => 2],
                static fn(): bool => $card->refresh()->signed_by !== null,
            ],
            'inspect' => [
                "cards/{$card->id}/inspect",
                static fn(): array => ['version' => $card->refresh()->version, 'covers' => ['leak']],
                static fn(): bool => $card->refresh()->inspected_by !== null,
            ],
            'defer' => $this->defer($card),
            'move' => $this->move(),
            'release' => $this->release(),
            default => [
                "people/{$this->fresh()}/code", static fn(): array => [],
                static fn(): bool => DB::table('people')->whereNotNull('pin_code')->exists(),
            ],
        };
    }

    /** @return array{string, Closure(): array<string, mixed>, Closure(): bool} */
    private function defer(Card $card): array
    {
        $finding = Finding::create([
            'aircraft_id' => Card::where('visit_id', 3)->valueOrFail('aircraft_id'),
            'card_id' => Card::where('visit_id', 3)->valueOrFail('id'), 'raised_by' => $this->person('oda')->id,
            'number' => 'F0701', 'chapter' => '61', 'place' => 'cabin', 'extent' => 'propellers beat',
            'state' => 'open',
            'raised_at' => '2026-05-05T10:00:00Z',
        ]);

        return [
            "findings/{$finding->id}/defer", static fn(): array => [
                'item' => DB::table('listed_items')->where('code', '61-L2')->value('id'), 'placard' => true,
            ],
            static fn(): bool => $finding->refresh()->state->value === 'deferred',
        ];
    }

    /** @return array{string, Closure(): array<string, mixed>, Closure(): bool} */
    private function move(): array
    {
        $tenure = DB::table('tenures')->join('components', 'components.id', '=', 'tenures.component_id')
            ->whereNull('to_date')->where('components.kind', 'oxygen bottle')->orderBy('tenures.id')
            ->first(['tenures.id', 'component_id']);
        $tenure ??= DB::table('tenures')->whereNull('to_date')->orderBy('id')->first(['id', 'component_id']);

        return [
            "components/{$tenure?->component_id}/move",
            static fn(): array => ['mark' => null, 'position' => 'shelf 4', 'reason' => 'to be tested'],
            static fn(): bool => DB::table('tenures')->where('id', $tenure?->id)->value('to_date') !== null,
        ];
    }

    /** @return array{string, Closure(): array<string, mixed>, Closure(): bool} */
    private function release(): array
    {
        $visit = $this->workedVisit();

        return [
            "release/{$visit}",
            static fn(): array => [], static fn(): bool => DB::table('releases')->where('visit_id', $visit)->exists(),
        ];
    }

    /** Somebody whose PIN is to be chosen anew. */
    private function fresh(): int
    {
        $id = $this->person('pell')->id;
        $this->as('ines', 'POST', "people/{$id}/secrets", ['password' => 'blue-lanterns-7', 'pin' => '7305'])
            ->assertOk();

        return $id;
    }
}
