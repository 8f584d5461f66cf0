<?php

declare(strict_types=1);

namespace Tests\Feature\Fleet;

use App\Fleet\Model\Component;
use App\Fleet\Model\ComponentTenure;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/**
 * Components go where their kind belongs, signed for; what is missing keeps the aircraft on the ground in every room.
 */
final class MissingPartTest extends WorldCase
{
    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
    }

    private function bottle(string $mark): int
    {
        return ComponentTenure::whereRelation(
            'craft',
            'mark',
            $mark,
        )->whereRelation('component', 'kind', 'oxygen bottle')
            ->whereNull('to_date')->firstOrFail()->component_id;
    }

    /** @param array<string, mixed> $to */
    private function move(int $id, array $to): string
    {
        return (string) $this->as('ines', 'POST', "components/{$id}/move", [
            'mark' => null, 'position' => 'shelf 4', 'reason' => 'test due', 'stamp' => 'C01', 'pin' => '1101', ...$to,
        ])->json('message');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'another type' => [['mark' => 'Q-401', 'position' => 'crew oxygen'], 'no TRK takes any oxygen bottle'];
        yield 'a place of its own' => [
            ['mark' => 'QA-VFA', 'position' => 'behind the seat'],
            'has no place "behind the seat" for any oxygen bottle; there is crew oxygen',
        ];
        yield 'a place of another kind' => [['mark' => 'QA-VFA', 'position' => 'engine 1'], 'QA-VFA has '];
        yield 'unsigned' => [['stamp' => 'T27'], 'Stamp or PIN is wrong'];
        yield 'a wrong PIN' => [['pin' => '1102'], 'Stamp or PIN is wrong'];
    }

    /** @param array<string, mixed> $to */
    #[DataProvider('wrong')]
    public function test_a_component_goes_nowhere_that_it_does_not_belong(array $to, string $why): void
    {
        $bottle = $this->bottle('QA-VFE');
        self::assertStringContainsString($why, $this->move($bottle, $to));
        self::assertSame(
            'QA-VFE',
            Component::with('tenure.craft')->findOrFail($bottle)->tenure?->craft->mark,
            'it is where it was',
        );
    }

    public function test_what_has_work_in_a_visit_stays_until_that_is_released_or_taken_out(): void
    {
        $key = array_values(array_filter(
            array_column((array) $this->as('ines', 'GET', 'fleet/QA-VFE')->json('items'), 'key'),
            static fn(string $k): bool => preg_match('/^\d+:\d+$/', $k) === 1,
        ))[0];
        $unit = (int) explode(':', $key)[1];
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFE', 'title' => 'Overhaul', 'bay' => Visit::LINE, 'start' => '2026-05-06',
            'end' => '2026-05-06', 'items' => [$key],
        ])->assertCreated()->json('id');
        $card = Card::where('visit_id', $visit)->where('component_id', $unit)->firstOrFail();
        self::assertStringContainsString(
            "has work in \"Overhaul\" of QA-VFE: card {$card->number}",
            $this->move($unit, []),
        );
        $card->update(['state' => Card::CLOSED, 'closed_at' => '2026-05-05T12:00:00Z']);
        self::assertStringContainsString('counts with its release', $this->move($unit, []));
        Visit::findOrFail($visit)->update(['state' => Visit::RELEASED]);
        self::assertSame('', $this->move($unit, []));
    }

    public function test_a_tagged_unit_is_fitted_to_nothing_until_its_tag_is_changed_by_name(): void
    {
        $bottle = $this->bottle('QA-VFE');
        self::assertSame('', $this->move($bottle, ['tag' => 'unserviceable']));
        $onto = fn(): string => $this->move($bottle, ['mark' => 'QA-VFE', 'position' => 'crew oxygen']);
        self::assertStringContainsString('is tagged unserviceable: test due. It is not fitted', $onto());
        self::assertStringContainsString('is not fitted to anything', $this->move($bottle, ['tag' => 'unserviceable']));
        $stored = array_column((array) $this->as('ines', 'GET', 'components')->json(), null, 'id')[$bottle];
        self::assertSame(['unserviceable', false], [$stored['tagged'], $stored['serviceable']]);
        self::assertSame('', $this->move($bottle, ['tag' => 'serviceable', 'reason' => 'valve changed']));
        self::assertSame('', $onto());
    }

    public function test_an_aircraft_without_it_does_not_fly_and_is_not_released(): void
    {
        $row = fn(string $mark): array
            => array_column((array) $this->as('ines', 'GET', 'fleet')->json('rows'), null, 'mark')[$mark];
        $before = $row('QA-VFE');
        self::assertNotSame('part', $before['stop']['kind']);
        $bottle = $this->bottle('QA-VFE');
        self::assertSame('', $this->move($bottle, []));
        self::assertSame(['stop', 'part'], [$row('QA-VFE')['state'], $row('QA-VFE')['stop']['kind']]);
        self::assertStringContainsString(
            'QA-VFE must not fly: its crew oxygen is missing, taken off on Tue 5 May.',
            (string) $this->as('ines', 'GET', 'fleet/QA-VFE')->json('sentence'),
        );

        $item = DB::table('programme_items')->join('aircraft', 'aircraft.type_id', '=', 'programme_items.type_id')
            ->where(['aircraft.mark' => 'QA-VFE', 'programme_items.code' => '29-14'])->value('programme_items.id');
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFE', 'title' => 'Line', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-05',
            'items' => [(string) $item],
        ])->assertCreated()->json('id');
        $blockers = fn(): array
            => array_column((array) $this->as('tor', 'GET', "release/{$visit}")->json('blockers'), 'codes');
        self::assertContains(['part_missing'], $blockers());

        self::assertSame('', $this->move($bottle, ['mark' => 'QA-VFE', 'position' => 'crew oxygen']));
        self::assertNotContains(['part_missing'], $blockers());
        Visit::whereKey($visit)->update(['state' => Visit::RELEASED]);
        self::assertSame($before['stop'], $row('QA-VFE')['stop'], 'back in its place, it is as it was');
    }
}
