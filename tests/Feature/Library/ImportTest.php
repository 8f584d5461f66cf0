<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Fleet\Model\Aircraft;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Shared\Records;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** What is brought in is checked whole, shown, and applied in one piece. */
final class ImportTest extends WorldCase
{
    /** @return TestResponse<Response> */
    private function look(string $kind, string $text): TestResponse
    {
        return $this->as('ines', 'POST', 'library/imports', ['kind' => $kind, 'name' => "f.{$kind}", 'text' => $text]);
    }

    public function test_every_bad_line_of_a_flying_sheet_is_named(): void
    {
        $before = Aircraft::orderBy('id')->pluck('counters')->all();
        $sheet = "mark,date,fh,ldg\r\nQA-VFC,2026-05-04,5.5,4\r\nQA-VFC,2026-05-04,1,1\r\nQ-999,2026-05-04,1,1\r\nQ-406,2026-05-32,1,1\r\nQ-406,2026-05-06,1,1\r\nQ-406,2026-05-04,-1,1\r\nQ-406,2026-05-04,25,1\r\nQ-406,2026-05-04,1,99\r\nQ-406,2026-05-04,1\r\n";
        $lines = $this->look('flying', $sheet)->assertStatus(422)->json('lines');
        self::assertSame(
            ['line 4, mark', 'line 5, date', 'line 6, date', 'line 7, fh', 'line 8, fh', 'line 9, ldg', 'line 10'],
            array_column($lines, 'line'),
        );
        foreach ([
            '' => 'line 1', "mark,day\n" => 'line 1', "mark,date,cyc\nQA-VFC,2026-05-04,3\n" => 'line 2, cyc',
        ] as $text => $line) {
            $this->look('flying', $text === '' ? ' ' : $text)->assertStatus(422);
        }
        self::assertEquals($before, Aircraft::orderBy('id')->pluck('counters')->all());
    }

    public function test_every_bad_item_of_a_programme_is_named_with_its_line(): void
    {
        $item = static fn(string $code, string $more = '"interval": 300', string $card = 'SKV-05-21'): string
            => "{\"code\": \"{$code}\", \"title\": \"t {[\", \"chapter\": \"05\", \"rule\": \"first\", \"rebase\": "
                ."\"planned\", \"card\": \"{$card}\", \"limits\": [{\"unit\": \"fh\", {$more}}]}";
        $text = "{\"type\": \"SKV\",\n\"items\": [\n".implode(",\n", [
            $item('A'), $item('B', '"interval": 0'), $item('A'), $item('C', '"interval": -5, "colour": 1'),
            $item('D', '"interval": 5}, {"unit": "cyc", "interval": 5', 'nope'),
            $item('E', '"interval": 5, "tolerance": {"abs": 1, "pct": 2}'),
        ])."\n]}";
        $lines = $this->look('programme', $text)->assertStatus(422)->json('lines');
        self::assertSame(
            [
                'line 4, items.1.limits.0.interval', 'line 5, items.2.code', 'line 6, items.3.limits.0.interval',
                'line 6, items.3.limits.0.colour', 'line 7, items.4.card', 'line 7, items.4.limits.1.unit',
                'line 8, items.5.limits.0.tolerance',
            ],
            array_column($lines, 'line'),
        );
        foreach ([
            '{' => 'file', '[]' => 'file', '{"type": "XX", "items": []}' => 'type', '{"type": "SKV"}' => 'items',
            '{"type": "SKV", "items": {}}' => 'items', '{"type": "SKV", "items": [], "more": 1}' => 'more',
        ] as $bad => $place) {
            self::assertSame($place, $this->look('programme', $bad)->assertStatus(422)->json('lines.0.line'), $bad);
        }
        self::assertSame(
            91,
            ProgrammeItem::whereHas('template', static fn($q) => $q->where('code', 'like', 'SKV%'))->count(),
        );
    }

    /** A file of nothing but faults: so many are listed, the rest are counted, and the answer stays small. */
    public function test_of_very_many_faults_the_first_are_listed_and_the_rest_counted(): void
    {
        $answer = $this->look('flying', "mark,date,fh,ldg\n".str_repeat("QZ-000,2026-05-04,1,1\n", 20_000))
            ->assertStatus(422);
        self::assertCount(200, $answer->json('lines'));
        self::assertSame('line 201, mark', $answer->json('lines.199.line'));
        self::assertStringContainsString('20000 lines are wrong', $answer->json('message'));
        self::assertStringContainsString('19800 more are not', $answer->json('message'));
        self::assertLessThan(30_000, strlen((string) $answer->getContent()));
    }

    public function test_a_preview_changes_nothing_and_is_applied_once(): void
    {
        $text = (string) file_get_contents(database_path('demo/import/flying-2026-05-04.csv'));
        $view = $this->look('flying', $text)->assertOk()->assertJsonPath('state', 'previewed')->json();
        self::assertSame('2026-05-03', (string) Aircraft::where('mark', 'Q-406')->value('counters_as_of'));
        $before = Aircraft::where('mark', 'QA-VFC')->firstOrFail()->counters['fh'];
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertOk()
            ->assertJsonPath('state', 'applied');
        self::assertEqualsWithDelta(
            $before + 5.5,
            Aircraft::where('mark', 'QA-VFC')->firstOrFail()->counters['fh'],
            1e-9,
        );
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertStatus(422)
            ->assertJsonPath('message', 'This import was already applied.');
        $this->look('flying', $text)->assertStatus(422);
    }

    public function test_what_stops_an_aircraft_first_is_told_as_the_fleet_room_tells_it(): void
    {
        $fleet = array_column((array) $this->as('ines', 'GET', 'fleet')->json('rows'), 'stop', 'mark');
        $kinds = [];
        foreach (['SKV', 'OLN', 'TRK'] as $type) {
            $view = $this->look(
                'programme',
                (string) $this->as('ines', 'GET', "library/programmes/{$type}/file.json")->assertOk()->getContent(),
            )->assertOk()->json();
            foreach ($view['dates'] as $line) {
                $stop = $fleet[$line['subject']];
                self::assertSame(
                    $stop === null
                        ? 'nothing'
                        : app(Clock::class)->words(Day::parse($stop['date'])).": {$stop['title']}",
                    $line['before'],
                    $line['subject'],
                );
                $kinds[] = $stop['kind'] ?? 'none';
            }
        }
        self::assertContains('bottle', $kinds);
        self::assertContains('deferral', $kinds);
    }

    public function test_what_a_programme_file_lacks_is_said_and_stays(): void
    {
        $whole = json_decode(
            (string) $this->as('ines', 'GET', 'library/programmes/TRK/file.json')->assertOk()->getContent(),
            true,
        );
        $lacking = array_splice($whole['items'], 3, 2);
        $view = $this->look('programme', (string) json_encode($whole))->assertOk()->json();
        self::assertSame([array_map(static fn(array $i): string => "{$i['code']} {$i['title']}", $lacking), []], [
            $view['left'], $view['changes'],
        ]);
    }

    public function test_what_others_write_while_it_is_compared_is_seen_and_nothing_is_applied_on_what_was(): void
    {
        $text = (string) file_get_contents(database_path('demo/import/programme-SKV.json'));
        $id = $this->look('programme', $text)->assertOk()->json('id');
        $busy = 99;
        DB::listen(function (QueryExecuted $q) use (&$busy): void {
            if ($busy > 0 && str_starts_with($q->sql, 'select * from "programme_items"')) {
                $busy--;
                app(Records::class)->write(null, 'test.meanwhile', 'test');
            }
        });
        $said = $this->as('ines', 'POST', "library/imports/{$id}/apply")->assertStatus(422)->json('message');
        self::assertSame('Others wrote all the while. Nothing was saved; send it once more.', $said);
        self::assertFalse(ProgrammeItem::where('code', '61-22')->exists());
        $busy = 1;
        $this->as('ines', 'POST', "library/imports/{$id}/apply")->assertOk();
        self::assertTrue(ProgrammeItem::where('code', '61-22')->exists());
        self::assertSame(1, DB::table('records')->where('what', 'import.programme')->count());
    }

    public function test_a_preview_that_the_world_has_overtaken_is_looked_at_again(): void
    {
        $view = $this->look('programme', (string) file_get_contents(database_path('demo/import/programme-SKV.json')))
            ->assertOk()->json();
        self::assertSame(['changed', 'new item'], array_column($view['changes'], 'what'));
        ProgrammeItem::where('code', '32-42')->update(['title' => 'Brakes']);
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertStatus(422);
        self::assertFalse(ProgrammeItem::where('code', '61-22')->exists());
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function files(): iterable
    {
        foreach (['SKV', 'OLN', 'TRK'] as $type) {
            yield "{$type} as JSON" => [$type, 'json', 'programme'];
            yield "{$type} as CSV" => [$type, 'csv', 'programme-csv'];
        }
    }

    #[DataProvider('files')]
    public function test_a_programme_goes_out_and_comes_back_the_same(string $type, string $form, string $kind): void
    {
        $text = (string) $this->actingAs($this->person('mika'))->get("/api/library/programmes/{$type}/file.{$form}")
            ->assertOk()->getContent();
        $view = $this->look($kind, $text)->assertOk()->json();
        self::assertSame([], $view['changes']);
        ProgrammeItem::whereHas('template', static fn($q) => $q->where('code', 'like', "{$type}%"))->update([
            'title' => 'x', 'limits' => '[{"unit":"days","interval":9}]', 'access' => '["z"]', 'includes' => '[]',
            'harsh' => null, 'hours' => 77,
        ]);
        $view = $this->look($kind, $text)->assertOk()->json();
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertOk();
        self::assertSame(
            $text,
            $this->actingAs($this->person('mika'))->get("/api/library/programmes/{$type}/file.{$form}")->getContent(),
            'to the letter',
        );
    }

    public function test_every_bad_line_of_a_programme_as_csv_is_named(): void
    {
        $head = 'type,code,title,chapter,rule,rebase,card,component,unit,interval,tolerance_pct,harsh,phase';
        $lines = [
            'SKV,A,t,05,first,planned,SKV-GVI,,fh,300,5,,', 'SKV,A,other,05,first,planned,SKV-GVI,,months,12,,,',
            'SKV,B,t,05,first,planned,SKV-GVI,,fh,many,,,', 'SKV,C,t,05,first,planned,SKV-GVI,engine,cyc,300,,salt=2,',
            'SKV,D,t,05,first,planned,SKV-GVI,propeller,cyc,300,,,', 'SKV,E,t,05,first,planned,SKV-GVI,,cyc,300,,,',
            'SKV,F,t,05,first,planned,SKV-GVI,,fh,300,,,maybe', 'SKV,G,t,05',
            'OLN,H,t,05,first,planned,OLN-GVI,,fh,300,,,',
        ];
        self::assertSame(
            ['line 3, title', 'line 4, interval', 'line 8, phase', 'line 9', 'line 10, type'],
            array_column(
                $this->look('programme-csv', "{$head}\r\n".implode("\r\n", $lines))->assertStatus(422)->json('lines'),
                'line',
            ),
        );
        $shaped = array_diff_key($lines, [1 => 0, 2 => 0, 6 => 0, 7 => 0, 8 => 0]);
        self::assertSame(['line 3, harsh.salt', 'line 4, limits.0.unit', 'line 5, limits.0.unit'], array_column(
            $this->look('programme-csv', "{$head}\r\n".implode("\r\n", $shaped))->assertStatus(422)->json('lines'),
            'line',
        ));
        self::assertSame(
            'line 1',
            $this->look('programme-csv', "type,code,interval\r\n")->assertStatus(422)->json('lines.0.line'),
        );
    }

    /**
     * @return iterable<string, array{callable(\stdClass): void, string}> what is changed in the phase check, and how it
     *   is said
     */
    public static function changes(): iterable
    {
        yield 'an interval' => [static function (\stdClass $i): void {
            $i->limits[0]->interval = 310;
        }, '310 fh'];
        yield 'a threshold' => [static function (\stdClass $i): void {
            $i->limits[0]->threshold = 400;
        }, 'first at 400'];
        yield 'a cap on the tolerance' => [static function (\stdClass $i): void {
            $i->limits[0]->tolerance->cap = 12;
        }, '+5 % at most 12'];
        yield 'an early window' => [static function (\stdClass $i): void {
            $i->limits[0]->early = (object) ['abs' => 7];
        }, 'early 7'];
        yield 'a chapter' => [static function (\stdClass $i): void {
            $i->chapter = '06';
        }, 'chapter 06'];
        yield 'harsh use' => [static function (\stdClass $i): void {
            $i->harsh = (object) ['gravel' => 0.5];
        }, 'harsh gravel 0.5'];
        yield 'panels' => [static function (\stdClass $i): void {
            $i->access = ['111AL'];
        }, 'access 111AL'];
        yield 'the school' => [static function (\stdClass $i): void {
            $i->rebase = 'actual';
        }, 'rebase actual'];
    }

    #[DataProvider('changes')]
    public function test_whatever_an_item_changes_is_shown_and_applied(callable $change, string $said): void
    {
        $file = json_decode((string) file_get_contents(database_path('demo/programme/SKV.json')));
        $change(array_values(array_filter($file->items, static fn(\stdClass $i): bool => $i->code === '05-21'))[0]);
        $view = $this->look('programme', (string) json_encode($file))->assertOk()->json();
        self::assertCount(1, $view['changes']);
        self::assertStringContainsString($said, $view['changes'][0]['after']);
        self::assertStringNotContainsString($said, $view['changes'][0]['before']);
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertOk();
        self::assertSame([], $this->look('programme', (string) json_encode($file))->json('changes'), 'then it is so');
    }
}
