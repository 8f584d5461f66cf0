<?php

declare(strict_types=1);

namespace Tests\Feature\Deferrals;

use App\Deferrals\Model\Report;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\FlyingEntry;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** What crews report: sorted, joined with what was done there, ended by name. */
final class ReportsTest extends WorldCase
{
    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function enter(string $mark, string $text, array $more = []): TestResponse
    {
        return $this->as(
            'oda',
            'POST',
            'reports',
            ['mark' => $mark, 'crew' => 'Sigrun Halle', 'text' => $text, ...$more],
        );
    }

    /** @return iterable<string, array{string, string, string|null}> aircraft, words, chapter that is proposed */
    public static function words(): iterable
    {
        yield 'a listed item\'s words' => ['QC-TAA', 'antiskid light stays on', '32-31'];
        yield 'a card\'s title' => ['QA-VFE', 'nose wheel steering heavy to the left', '32-51'];
        yield 'more words win' => ['QA-VFE', 'propeller de-ice boot torn', '61-12'];
        yield 'by type' => ['Q-401', 'hoist cable frayed', '25-86'];
        yield 'none' => ['QC-TAA', 'felt odd', null];
    }

    #[DataProvider('words')]
    public function test_its_chapter_is_proposed_from_its_words_and_corrected_by_hand(
        string $mark,
        string $text,
        ?string $chapter,
    ): void {
        $page = $this->enter($mark, $text)->assertCreated()->json();
        self::assertSame([$chapter, false], [$page['report']['chapter'], $page['report']['sorted']]);
        $sorted = $this->as('oda', 'POST', "reports/{$page['report']['id']}/chapter", ['chapter' => '49-11'])
            ->assertOk();
        self::assertSame(['49-11', true], [$sorted->json('report.chapter'), $sorted->json('report.sorted')]);
        $this->as('oda', 'POST', "reports/{$page['report']['id']}/chapter", ['chapter' => 'gear'])->assertStatus(422);
    }

    public function test_it_ends_as_a_finding_which_is_carried_or_fixed_never_silently(): void
    {
        $id = Report::where('number', 'R0005')->valueOrFail('id');
        $page = $this->as('oda', 'GET', "reports/{$id}")->json();
        self::assertSame(
            [true],
            array_values(array_filter(array_column($page['before'], 'suspect'))),
            'one first suspect',
        );
        $page = $this->as('oda', 'POST', "reports/{$id}/finding", ['place' => 'brakes', 'severity' => 'major'])
            ->assertOk()
            ->json();
        $finding = Finding::findOrFail($page['report']['findingId']);
        self::assertSame(['32-43', 'finding'], [$finding->chapter, $page['report']['stands']]);
        self::assertStringContainsString('R0005: pulls right', $finding->extent);
        self::assertSame([], $page['may']);
        $this->as('oda', 'POST', "reports/{$id}/chapter", ['chapter' => '32-42'])->assertStatus(422)
            ->assertJsonPath('message', 'R0005 is ended already. Nothing was changed.');
        $finding->update(['state' => 'fixed', 'fixed_how' => 'balanced', 'settled_at' => '2026-05-06T10:00:00Z']);
        self::assertSame('fixed', $this->as('oda', 'GET', "reports/{$id}")->json('report.stands'));

        // The same words five flights later are a repeat, with their story; others are none.
        app(Clock::class)->start(Instant::parse('2026-05-09T10:00:00Z'));
        $again = $this->enter('QA-VFE', 'Pulls to the right, braking hard')->assertCreated()->json();
        self::assertSame('R0005', $again['report']['repeat']);
        self::assertStringContainsString('fixed: balanced', $again['story'][0]);
        self::assertNull($this->enter('QA-VFE', 'brake pedal soft', ['chapter' => '32-43'])->json('report.repeat'));
        self::assertNull(
            $this->enter('QA-VFD', 'pulls right, braking hard')->json('report.repeat'),
            'another aircraft',
        );
        $found = $this->as('oda', 'POST', "reports/{$again['report']['id']}/finding", [
            'place' => 'brakes again', 'severity' => 'major',
        ])->assertOk()->json('report.findingId');
        self::assertSame($finding->id, Finding::findOrFail($found)->repeat_of);
        app(Clock::class)->start(Instant::parse('2027-02-09T10:00:00Z'));
        self::assertNotNull(
            $this->enter('QA-VFE', 'pulls right when braking')->json('report.repeat'),
            'it has not flown since',
        );
    }

    public function test_no_fault_needs_its_test_on_record(): void
    {
        $id = (int) Report::where('number', 'R0005')->valueOrFail('id');
        $end = fn(int $card, string $who = 'ines'): TestResponse => $this->as($who, 'POST', "reports/{$id}/no-fault", [
            'card' => $card, 'said' => 'both sides alike, 38 bar',
        ]);
        self::assertStringContainsString('is no test of it', (string) $end(Card::valueOrFail('id'))->assertStatus(422)
            ->json('message'));
        $page = $this->as('ines', 'POST', "reports/{$id}/test", ['template' => 'SKV-32-43'])->assertOk()->json();
        self::assertSame([], $page['proofs'], 'made is not done');
        $card = Card::where('title', 'like', '%R0005')->firstOrFail();
        self::assertSame(Visit::IN_WORK, $card->visit->state);
        $this->as('ines', 'POST', "reports/{$id}/test", ['template' => 'SKV-32-43'])->assertStatus(422);
        $card->update(['state' => Card::CLOSED, 'closed_at' => '2026-05-04T10:00:00Z']);
        Step::where('card_id', $card->id)->update(['state' => Step::DONE]);
        self::assertStringContainsString('is no test of it', (string) $end($card->id)->assertStatus(422)
            ->json('message'), 'before');
        $card->update(['closed_at' => '2026-05-05T13:00:00Z']);
        $end($card->id, 'oda')->assertForbidden();
        self::assertSame('no_fault', $end($card->id)->assertOk()->json('report.stands'));
        self::assertStringContainsString(
            $card->number,
            (string) json_encode($this->as('mika', 'GET', 'reports')->json()),
        );
    }

    public function test_what_a_crew_says_on_the_line_stands_among_the_reports_as_the_finding_that_it_is(): void
    {
        $item = ProgrammeItem::where('line', 'report')
            ->where('type_id', Aircraft::where('mark', 'QA-VFE')->value('type_id'))
            ->valueOrFail('id');
        $this->as('oda', 'POST', 'line', [
            'mark' => 'QA-VFE', 'item' => $item, 'report' => 'pulls right on braking, worse than yesterday',
            'chapter' => '32-43', 'severity' => 'major',
        ])->assertCreated();
        $report = Report::with('finding')->latest('id')->firstOrFail();
        self::assertSame(['line', Report::FINDING, '32-43'], [$report->source, $report->state, $report->chapter]);
        self::assertSame('pulls right on braking, worse than yesterday', $report->finding?->extent);
        self::assertSame($report->number, $this->as('ines', 'GET', 'reports')->json('reports.4.number'));
        self::assertCount(
            2,
            (array) $this->as('ines', 'GET', 'reliability/rows?what=reports&by=tail&key=QA-VFE')->json(),
        );
    }

    public function test_what_was_done_before_is_told_as_of_the_report(): void
    {
        $report = Report::where('number', 'R0001')->firstOrFail();
        $before = array_column($this->as('ines', 'GET', "reports/{$report->id}")->json('before'), 'said');
        self::assertNotSame([], $before);
        $own = (string) $report->finding?->number;
        foreach ($before as $said) {
            self::assertStringNotContainsString($own, $said, 'its own finding is no past of it');
            self::assertStringNotContainsString(' May, ', $said, 'it came in April');
            self::assertStringContainsString(' before: ', $said);
        }
        // Flights after it do not make what was before it any older.
        $flown = fn(): mixed => $this->as('ines', 'GET', "reports/{$report->id}")->json('before');
        $was = $flown();
        FlyingEntry::create([
            'aircraft_id' => $report->aircraft_id, 'date' => '2026-05-05', 'flown' => ['fh' => 9, 'ldg' => 40],
            'current' => true, 'source' => 'hand', 'person_id' => $this->person('ines')->id,
            'at' => '2026-05-05T12:00:00Z',
        ]);
        self::assertSame($was, $flown());
    }

    public function test_a_card_that_makes_safe_tests_nothing(): void
    {
        $id = (int) Report::where('number', 'R0008')->valueOrFail('id');
        $codes = array_column($this->as('ines', 'GET', "reports/{$id}")->json('tests'), 'code');
        self::assertContains('OLN-27-61', $codes);
        self::assertNotContains('OLN-27-62', $codes);
        $card = Card::whereRelation('visit.aircraft', 'mark', 'QC-TAB')->where('makes', Card::CARRY)->firstOrFail();
        Card::whereKey($card->id)->update(['closed_at' => '2026-05-05T13:00:00Z']);
        Report::whereKey($id)->update(['chapter' => $card->chapter()]);
        self::assertNotContains(
            $card->id,
            array_column($this->as('ines', 'GET', "reports/{$id}")->json('proofs'), 'id'),
        );
    }

    public function test_a_file_is_looked_at_whole_and_the_programme_sends_the_same(): void
    {
        $bring = fn(?string $text, bool $enter): TestResponse => $this->as('ines', 'POST', 'reports/bring', [
            'text' => $text, 'enter' => $enter,
        ]);
        $bad = "mark,at,flight,crew,text\r\nQX-1,2026-05-05T08:00:00Z,A1,Jon,radio\r\nQC-TAA,soon,A1,Jon,radio\r\n"
            ."QC-TAA,2026-05-06T08:00:00Z,A1,Jon,radio\r\nQC-TAA,2026-05-05T08:00:00Z,A1,,radio\r\n";
        $lines = $bring($bad, true)->assertStatus(422)->json('lines');
        self::assertSame(['line 2, mark', 'line 3, at', 'line 4, at', 'line 5, crew'], array_column($lines, 'line'));
        $good = "mark,at,flight,crew,text,chapter\r\nQC-TAA,2026-05-05T08:00:00Z,A1,Jon,\"radio, 2 dead\",\r\n"
            ."QC-TAB,2026-05-05T09:00:00Z,,Jon,smell,21-61\r\n";
        $before = Report::count();
        self::assertStringContainsString('chapter 23-21', $bring($good, false)->assertOk()->json('rows.0'));
        self::assertSame($before, Report::count());
        $bring($good, true)->assertOk();
        self::assertSame($before + 2, Report::count());
        self::assertStringContainsString(
            'entered already',
            (string) json_encode($bring($good, true)->assertStatus(422)->json()),
        );
        $sent = $bring(null, false)->assertOk()->json();
        self::assertNotSame([], $sent['rows']);
        self::assertEquals($sent, $bring(null, false)->json(), 'the same at every asking');
        $bring($sent['text'], true)->assertOk();
    }
}
