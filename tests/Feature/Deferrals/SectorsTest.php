<?php

declare(strict_types=1);

namespace Tests\Feature\Deferrals;

use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Sector;
use App\Shared\Clock;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** The coming flights of whoever carries something, and who could take the line. */
final class SectorsTest extends WorldCase
{
    /** @return array<string, array<string, mixed>> flights of an aircraft by number */
    private function flights(string $mark, int $days = 3): array
    {
        $rows = array_column($this->as('ines', 'GET', "sectors?days={$days}")->json('aircraft'), null, 'mark');

        return array_column($rows[$mark]['flights'], null, 'number');
    }

    public function test_three_within_limits_the_fourth_is_not_flown_then_one_runs_out(): void
    {
        $flights = $this->flights('QC-TAB');
        self::assertSame(
            ['go_restricted', 'go_restricted', 'go_restricted', 'no_go', 'no_go', 'no_go'],
            array_column($flights, 'verdict'),
        );
        self::assertStringContainsString('a wet or contaminated runway', $flights['B06']['reasons'][0]);
        self::assertStringContainsString('runs out before arrival', $flights['B07']['reasons'][0]);
        $row = array_column($this->as('mika', 'GET', 'sectors')->json('aircraft'), null, 'mark')['QC-TAB'];
        self::assertContains('Landing weight: at most 6,900 kg', $row['restrictions'], 'the tighter of the two');
        self::assertContains('Runway: at least 1,900 m', $row['restrictions']);
        $pdf = (string) $this->as('mika', 'GET', 'fleet/QC-TAB/crew-sheet.pdf')->assertOk()->getContent();
        self::assertStringStartsWith('%PDF', $pdf);
    }

    public function test_one_that_runs_out_while_its_flights_have_no_numbers_is_not_told_as_clear(): void
    {
        $state = fn(int $days): array => array_column(
            $this->as('mika', 'GET', "sectors?days={$days}")->json('aircraft'),
            'state',
            'mark',
        );
        self::assertSame(['watch', 'clear'], [$state(3)['Q-405'], $state(3)['Q-408']], 'by use, today; in July');
        self::assertSame('clear', $state(1)['Q-405'], 'it may fly today');
    }

    public function test_a_limit_by_landings_runs_out_on_the_way(): void
    {
        Deferral::whereRelation('finding', 'number', 'F0001')->update(['state' => 'closed']);
        $of = Deferral::whereRelation('finding', 'number', 'F0002')->firstOrFail();
        $of->update(['limits' => ['ldg' => 3], 'at_discovery' => $of->aircraft->counters]);
        self::assertSame(
            ['go_restricted', 'go_restricted', 'go_restricted', 'no_go'],
            array_column(array_slice($this->flights('QC-TAB'), 0, 4), 'verdict'),
        );
    }

    /**
     * @return iterable<string, array{string, array<string, mixed>, string, string}> a flight, what is so of it,
     *   verdict, why
     */
    public static function cases(): iterable
    {
        yield 'the programme does not say what it meets' => ['B03', ['conditions' => null], 'unknown', 'does not say'];
        yield 'nothing met' => ['B06', ['conditions' => []], 'go_restricted', ''];
        yield 'an hour that nobody knows is the whole day'
            => ['B05', ['departs_at' => null, 'arrives_at' => null], 'go_restricted', ''];
        yield 'arrives after the midnight at which it runs out' => [
            'B05', ['departs_at' => '2026-05-07T21:00:00Z', 'arrives_at' => '2026-05-07T22:00:01Z'], 'no_go',
            'runs out',
        ];
        yield 'arrives at that very midnight' => [
            'B05', ['departs_at' => '2026-05-07T21:00:00Z', 'arrives_at' => '2026-05-07T22:00:00Z'], 'go_restricted',
            '',
        ];
    }

    /** @param array<string, mixed> $is */
    #[DataProvider('cases')]
    public function test_a_flight(string $number, array $is, string $verdict, string $why): void
    {
        Sector::where('number', $number)->firstOrFail()->update($is);
        $flight = $this->flights('QC-TAB')[$number];
        self::assertSame($verdict, $flight['verdict'], (string) json_encode($flight));
        self::assertStringContainsString($why, (string) json_encode($flight['reasons']));
    }

    public function test_what_is_not_made_safe_or_has_no_placard_does_not_fly(): void
    {
        Deferral::whereRelation('finding', 'number', 'F0001')
            ->update(['procedure_done' => false, 'placard_at' => null]);
        $why = (string) json_encode($this->flights('QC-TAB')['B03']['reasons']);
        self::assertStringContainsString('not made safe yet', $why);
        self::assertStringContainsString('placard is not fitted', $why);
    }

    public function test_who_takes_the_line_with_the_least_change_handed_over_and_answered(): void
    {
        $body = ['mark' => 'QC-TAB', 'date' => '2026-05-07'];
        $swap = $this->as('ines', 'POST', 'sectors/swap/preview', $body)->assertOk()->json();
        self::assertSame(['QC-TAB', 'B05, B06'], [$swap['moves'][0]['from'], $swap['moves'][0]['flights']]);
        self::assertCount(2, $swap['moves'], 'one line given, one taken');
        $takes = $swap['moves'][0]['to'];
        $send = function (array $moves) use (&$body): TestResponse {
            return $this->as('ines', 'POST', 'sectors/swap', [...$body, 'moves' => $moves]);
        };
        self::assertStringContainsString('Something changed', (string) $send([$swap['moves'][0]])->assertStatus(422)
            ->json('message'));
        $sent = $send($swap['moves']);
        self::assertSame(200, $sent->status(), (string) $sent->json('message'));
        $room = $sent->json();
        self::assertTrue($room['swaps'][0]['accepted'], $room['swaps'][0]['answer']);
        $mark = static fn(string $number): string => (string) Sector::where('number', $number)->firstOrFail()
            ->newQuery()->join('aircraft', 'aircraft.id', '=', 'sectors.aircraft_id')->where('number', $number)
            ->value('mark');
        self::assertSame([$takes, $takes], [$mark('B05'), $mark('B06')]);
        self::assertArrayNotHasKey('B06', $this->flights('QC-TAB'));
        self::assertStringContainsString('No swap helps', (string) $send($swap['moves'])->assertStatus(422)
            ->json('message'));

        // Two hours before it the crews are on their way.
        $body['date'] = '2026-05-08';
        app(Clock::class)->start(Instant::parse('2026-05-08T04:00:00Z'));
        $late = $this->as('ines', 'POST', 'sectors/swap/preview', $body)->assertOk()->json();
        self::assertNotSame([], $late['moves']);
        $room = $send($late['moves'])->assertOk()->json();
        self::assertFalse($room['swaps'][0]['accepted']);
        self::assertStringContainsString('Too late', $room['swaps'][0]['answer']);
        self::assertSame('QC-TAB', $mark('B07'), 'nothing changed hands');
    }
}
