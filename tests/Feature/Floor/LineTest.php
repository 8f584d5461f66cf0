<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Floor\Model\Card;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** Checks on the line: begun and signed at the aircraft, good until the end of a day, and no visit to anybody. */
final class LineTest extends WorldCase
{
    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T08:20:00Z'));
    }

    private function item(string $type, string $line): int
    {
        return (int) ProgrammeItem::where('line', $line)
            ->whereIn('type_id', DB::table('aircraft_types')->where('code', $type)->select('id'))->valueOrFail('id');
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function begin(string $who, string $mark, string $line = 'daily', array $more = []): TestResponse
    {
        $type = (string) DB::table('aircraft')->join('aircraft_types', 'aircraft_types.id', '=', 'aircraft.type_id')
            ->where('mark', $mark)->value('aircraft_types.code');

        return $this->as($who, 'POST', 'line', ['mark' => $mark, 'item' => $this->item($type, $line), ...$more]);
    }

    /** @return array<string, mixed> */
    private function row(string $mark): array
    {
        return array_column((array) $this->as('oda', 'GET', 'line')->json('rows'), null, 'mark')[$mark];
    }

    /** @return TestResponse<Response> */
    private function good(string $who, int $visit): TestResponse
    {
        return $this->as($who, 'POST', "line/{$visit}/good", [
            'stamp' => $this->person($who)->stamp, 'pin' => $this->pinOf($who),
        ]);
    }

    public function test_a_daily_is_begun_worked_and_signed_good_until_the_end_of_tomorrow(): void
    {
        $before = array_column((array) $this->as('ines', 'GET', 'visits')->json('rows'), 'id');
        $reach = $this->as('ines', 'GET', 'fleet')->json('rows');
        self::assertSame('stop', $this->row('Q-402')['state']);
        $card = $this->begin('aki', 'Q-402')->assertCreated();
        $id = (int) $card->json('id');
        self::assertTrue($card->json('line'));
        self::assertSame('waiting', $this->row('Q-402')['checks'][0]['state']);
        // The aircraft stands in no visit by it: what is planned and what falls due are as they were.
        self::assertSame($before, array_column((array) $this->as('ines', 'GET', 'visits')->json('rows'), 'id'));
        self::assertSame($reach, $this->as('ines', 'GET', 'fleet')->json('rows'));
        // A second one at the aircraft joins the same card.
        self::assertSame($id, $this->begin('odin', 'Q-402')->assertCreated()->json('id'));
        $visit = (int) $card->json('visitId');
        self::assertStringContainsString('first: Card', (string) $this->good('aki', $visit)->assertStatus(422)
            ->json('message'));
        $is = $this->worked($id, 'aki');
        self::assertSame(Card::CLOSED, $is->state);
        $ask = $this->as('aki', 'GET', "line/{$visit}")->assertOk();
        self::assertSame([], $ask->json('blockers'));
        // Whoever had no hand in it does not say that it is good.
        self::assertStringContainsString('not_authorised', (string) json_encode(
            $this->as('karl', 'GET', "line/{$visit}")->json('blockers'),
        ));
        $this->good('karl', $visit)->assertStatus(422);
        self::assertStringContainsString('Wed', (string) $ask->json('good'));
        $this->as('aki', 'POST', "line/{$visit}/good", ['stamp' => $this->person('aki')->stamp, 'pin' => '0000'])
            ->assertStatus(422);
        $this->good('aki', $visit)->assertOk();
        $this->good('aki', $visit)->assertStatus(422);
        $row = $this->row('Q-402');
        self::assertSame('clear', $row['state']);
        self::assertStringContainsString('until the end of', $row['said']);
        foreach (['2026-05-06T20:00:00Z' => 'watch', '2026-05-07T06:00:00Z' => 'stop'] as $at => $state) {
            app(Clock::class)->start(Instant::parse($at));
            self::assertSame($state, $this->row('Q-402')['state'], $at);
        }
        $done = json_encode($this->as('ines', 'GET', 'fleet/Q-402/history')->json());
        self::assertStringContainsString('Daily inspection', (string) $done);
    }

    public function test_a_turnaround_is_before_a_flight_and_good_for_that_one_alone(): void
    {
        $turned = fn(): array => array_column($this->row('QC-TAA')['checks'], null, 'line')['turnaround'];
        self::assertSame(['before A02', ['A02']], [$turned()['word'], $turned()['flights']]);
        self::assertSame('not turned round for A02 to Skarnholm yet', $turned()['said']);
        self::assertStringContainsString('A01 wants no turnaround', (string) $this
            ->begin('pell', 'QC-TAA', 'turnaround', ['flight' => 'A01'])->assertStatus(422)->json('message'));
        $card = $this->begin('pell', 'QC-TAA', 'turnaround')->assertCreated();
        self::assertSame('Turnaround inspection before A02', $card->json('title'));
        [$id, $visit] = [(int) $card->json('id'), (int) $card->json('visitId')];
        // Another flight is put in behind it; the one that is begun comes first.
        DB::table('sectors')->insert([
            'aircraft_id' => Card::findOrFail($id)->aircraft_id, 'date' => '2026-05-05', 'number' => 'A03',
            'from_place' => 'Skarnholm', 'to_place' => 'Halvik', 'use' => '{"fh":1,"ldg":1}',
        ]);
        self::assertStringContainsString('is begun and not signed', (string) $this
            ->begin('pell', 'QC-TAA', 'turnaround', ['flight' => 'A03'])->assertStatus(422)->json('message'));
        $this->worked($id, 'pell');
        self::assertSame('for flight A02 of Tue 5 May', $this->as('pell', 'GET', "line/{$visit}")->json('good'));
        $this->good('pell', $visit)->assertOk();
        self::assertSame(['before A03', ['A03']], [$turned()['word'], $turned()['flights']]);
        $paper = $this->as('mika', 'GET', "line/{$visit}/log.pdf")->assertOk();
        self::assertSame('application/pdf', $paper->headers->get('content-type'));
        $file = (string) tempnam(sys_get_temp_dir(), 'log');
        file_put_contents($file, $paper->getContent());
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');
        $text = (string) preg_replace('/\s+/', ' ', $text);
        unlink($file);
        foreach (['before A02', 'It is good for flight A02', 'flight hours', 'Signed Pell'] as $said) {
            self::assertStringContainsString($said, $text);
        }
    }

    public function test_who_has_no_daily_that_is_good_is_named_until_it_is_signed(): void
    {
        $line = fn(): array => (array) $this->as('ines', 'GET', 'line')->json();
        $lacks = static fn(array $of): array => array_column(
            array_filter($of['rows'], static fn(array $r): bool => $r['lacks']),
            'mark',
        );
        $before = $line();
        self::assertContains('Q-402', $lacks($before));
        self::assertStringContainsString(
            'have no check that is good: '.implode(', ', $lacks($before)),
            $before['sentence'],
        );
        // What stands in a visit, or has a finding open and a daily that is good, does not lack one.
        self::assertNotContains('QA-VFA', $lacks($before));
        // What was signed before there were cards is known, and has no paper.
        $old = Visit::onLine()->where('visits.state', Visit::RELEASED)->whereDoesntHave('cards')->firstOrFail();
        foreach (["line/{$old->id}", "line/{$old->id}/log.pdf"] as $path) {
            $this->as('ines', 'GET', $path)->assertNotFound();
        }
        $this->begin('bram', 'QA-VFD', 'report', ['report' => 'brakes smell', 'chapter' => '32-42'])->assertCreated();
        self::assertSame('stop', $this->row('QA-VFD')['state']);
        self::assertSame($lacks($before), $lacks($line()));
        $card = $this->begin('aki', 'Q-402')->assertCreated();
        $this->worked((int) $card->json('id'), 'aki');
        $this->good('aki', (int) $card->json('visitId'))->assertOk();
        self::assertNotContains('Q-402', $lacks($line()));
    }

    public function test_what_is_true_of_the_whole_aircraft_keeps_a_check_from_being_signed(): void
    {
        $card = $this->begin('aki', 'Q-402')->assertCreated();
        [$id, $visit] = [(int) $card->json('id'), (int) $card->json('visitId')];
        $this->as('aki', 'POST', "cards/{$id}/findings", ['place' => 'emergency lever', 'extent' => 'seal is cut'])
            ->assertOk();
        $finding = (int) DB::table('findings')->where('card_id', $id)->value('id');
        self::assertStringContainsString('finding F', $this->row('Q-402')['said']);
        $this->worked($id, 'aki');
        $blockers = fn(string $who): string => (string) json_encode(
            $this->as($who, 'GET', "line/{$visit}")->json('blockers'),
        );
        self::assertStringContainsString('finding_open', $blockers('aki'));
        $this->good('aki', $visit)->assertStatus(422);
        // It is put right by its own card; then somebody who may certify signs.
        $this->as('ines', 'POST', "findings/{$finding}/card", ['hours' => 1])->assertCreated();
        $fix = (int) DB::table('cards')->where('finding_id', $finding)->value('id');
        self::assertStringContainsString('card_open', $blockers('aki'));
        DB::table('findings')->where('id', $finding)->update(['state' => 'fixed']);
        DB::table('cards')->where('id', $fix)->update(['state' => 'closed']);
        DB::table('steps')->where('card_id', $fix)->update(['state' => 'done']);
        self::assertStringContainsString('not_authorised', $blockers('aki'));
        self::assertStringNotContainsString('finding_open', $blockers('aki'));
    }

    public function test_a_crew_report_is_a_finding_at_once_and_begins_its_own_check(): void
    {
        $report = ['report' => 'pulls right on braking', 'chapter' => '32-42', 'severity' => 'major'];
        $this->begin('bram', 'QA-VFC', 'report')->assertStatus(422);
        $this->begin('bram', 'QA-VFC', 'daily', $report)->assertStatus(422);
        $this->begin('bram', 'QA-VFC', 'report', [...$report, 'chapter' => 'brakes'])->assertStatus(422);
        $card = $this->begin('bram', 'QA-VFC', 'report', $report)->assertCreated();
        self::assertSame('pulls right on braking', $card->json('findings.0.extent'));
        // A second report is a check of its own; the daily is another.
        $other = $this->begin('bram', 'QA-VFC', 'report', [...$report, 'report' => 'brakes smell'])->assertCreated();
        self::assertNotSame($card->json('id'), $other->json('id'));
        self::assertStringContainsString('open', $this->row('QA-VFC')['said']);
    }

    /** @return iterable<string, array{string, string, string, string}> who, mark, line, why not */
    public static function wrong(): iterable
    {
        yield 'in a visit' => ['oda', 'QA-VFA', 'daily', 'stands in "'];
        yield 'not of the type' => ['pell', 'Q-402', 'daily', 'Nobody was assigned'];
        yield 'a controller' => ['ines', 'Q-402', 'daily', 'Nobody was assigned'];
    }

    #[DataProvider('wrong')]
    public function test_it_is_not_begun_where_it_has_no_place(
        string $who,
        string $mark,
        string $line,
        string $why,
    ): void {
        $visits = Visit::onLine()->count();
        self::assertStringContainsString(
            $why,
            (string) $this->begin($who, $mark, $line)->assertStatus(422)->json('message'),
        );
        self::assertSame($visits, Visit::onLine()->count());
    }

    public function test_one_begun_by_mistake_is_left_while_nothing_of_it_is_done(): void
    {
        $card = $this->begin('aki', 'Q-402')->assertCreated();
        $leave = fn(int $visit): TestResponse => $this->as('aki', 'POST', "line/{$visit}/leave", [
            'why' => 'wrong helicopter',
        ]);
        $leave((int) $card->json('visitId'))->assertOk();
        self::assertNull($this->row('Q-402')['checks'][0]['card']);
        // Nobody works at what is left: what they did there nobody would see.
        $step = ['version' => $card->json('version'), 'do' => 'done'];
        self::assertStringContainsString('is over', (string) $this->as(
            'aki',
            'POST',
            'cards/'.$card->json('id').'/steps/1',
            $step,
        )->assertStatus(422)->json('message'));
        $again = $this->begin('aki', 'Q-402')->assertCreated();
        self::assertNotSame($card->json('id'), $again->json('id'));
        DB::table('cards')->where('id', $again->json('id'))->update(['begun_at' => '2026-05-05T08:30:00Z']);
        $leave((int) $again->json('visitId'))->assertStatus(422);
    }

    public function test_a_new_item_of_the_programme_is_phased_in(): void
    {
        $items = json_decode((string) $this->as('ines', 'GET', 'library/programmes/SKV/file.json')->getContent(), true);
        $new = ['code' => '99-01', 'title' => 'New bolt check', 'chapter' => '53', 'rule' => 'first',
            'rebase' => 'planned', 'card' => 'SKV-GVI', 'limits' => [['unit' => 'fh', 'interval' => 500]]];
        $bring = function (array $item) use ($items): mixed {
            $file = json_encode(['type' => 'SKV', 'items' => [...$items['items'], $item]]);
            $look = $this->as('ines', 'POST', 'library/imports', [
                'kind' => 'programme', 'text' => $file, 'name' => 'p.json',
            ]);

            return $look->status() < 300
                ? $this->as('ines', 'POST', 'library/imports/'.$look->json('id').'/apply', [])->assertOk()
                : (string) json_encode($look->json());
        };
        self::assertStringContainsString('from', (string) $bring([...$new, 'phase_in' => 30]));
        self::assertStringContainsString('no meaning', (string) $bring([...$new, 'line' => 'daily', 'phase' => true]));
        self::assertStringContainsString('validity', (string) $bring([...$new, 'validity' => 1]));
        $bring([...$new, 'from' => '2026-05-01', 'phase_in' => 90]);
        $due = fn(): array => collect((array) $this->as('ines', 'GET', 'fleet/QA-VFB')->json('items'))
            ->firstWhere('code', '99-01') ?? [];
        self::assertStringContainsString('2026-07-30', (string) json_encode($due()));
    }
}
