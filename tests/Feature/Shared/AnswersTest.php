<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Crew\Model\Qualification;
use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ItemStatus;
use App\Fleet\Show\DueSheets;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Release\Model\Certificate;
use App\Stores\Model\Tool;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** What the rooms answer: in the shape they describe, in the demo world's own story, without a query in a loop. */
final class AnswersTest extends WorldCase
{
    private static ?\stdClass $description = null;

    /**
     * @return iterable<string, array{string, string, int}> route as described, as asked, the most queries it may take
     */
    public static function rooms(): iterable
    {
        yield 'me' => ['/api/me', 'me', 6];
        yield 'what changed' => ['/api/since', 'since', 4];
        yield 'moment' => ['/api/moment', 'moment', 10];
        yield 'fleet, worked out anew' => ['/api/fleet', 'fleet', 30];
        yield 'a day to come' => ['/api/as-of', 'as-of?day=2026-05-14', 30];
        yield 'due list, worked out anew' => ['/api/due', 'due', 48];
        yield 'history' => ['/api/fleet/{mark}/history', 'fleet/QA-VFB/history', 12];
        yield 'stagger' => ['/api/stagger', 'stagger', 24];
        yield 'bottles' => ['/api/bottles', 'bottles', 10];
        yield 'programme' => ['/api/library/programmes/{type}', 'library/programmes/SKV', 12];
        yield 'one aircraft' => ['/api/fleet/{mark}', 'fleet/QA-VFA', 24];
        // With the people of each base: whether anybody is there when they are planned.
        yield 'visits' => ['/api/visits', 'visits', 17];
        yield 'one visit' => ['/api/visits/{id}', 'visits/1', 28];
        yield 'what could be made of a visit' => ['/api/visits/{id}/more', 'visits/3/more', 34];
        yield 'board' => ['/api/visits/{id}/board', 'visits/1/board', 23];
        yield 'look and fix windows' => ['/api/visits/{id}/window', 'visits/1/window', 18];
        yield 'progress' => ['/api/visits/{id}/progress', 'visits/1/progress', 15];
        yield 'season' => ['/api/season', 'season?days=90', 60];
        yield 'bays' => ['/api/bays', 'bays', 10];
        yield 'phases' => ['/api/phases', 'phases?type=OLN&phases=3', 12];
        yield 'crew' => ['/api/crew', 'crew', 18];
        yield 'one person' => ['/api/people/{id}', 'people/2', 22];
        yield 'a shift' => ['/api/crew/shift', 'crew/shift', 24];
        yield 'floor' => ['/api/floor', 'floor', 18];
        yield 'one card' => ['/api/cards/{id}', 'cards/1', 20];
        yield 'a card held by others' => ['/api/cards/{id}', 'cards/98', 20];
        yield 'one finding' => ['/api/findings/{id}', 'findings/6', 26];
        yield 'registers' => ['/api/registers', 'registers', 10];
        yield 'one register' => ['/api/registers/{mark}', 'registers/QC-TAC', 20];
        yield 'bench' => ['/api/bench', 'bench', 24];
        yield 'an attempt' => ['/api/bench/attempts/{id}', 'bench/attempts/1', 12];
        yield 'past tests' => ['/api/bench/attempts', 'bench/attempts?mark=QA-VFB&system=flight%20controls', 10];
        yield 'trends' => ['/api/bench/trends', 'bench/trends', 14];
        yield 'riggings' => ['/api/bench/riggings', 'bench/riggings', 10];
        yield 'a trend' => ['/api/bench/trends/{id}', 'bench/trends/100', 14];
        yield 'recordings' => ['/api/bench/recordings', 'bench/recordings', 12];
        yield 'a fault tree walked' => ['/api/bench/findings/{id}/walk', 'bench/findings/49/walk', 18];
        yield 'fault trees' => ['/api/library/trees', 'library/trees', 10];
        yield 'deferrals' => ['/api/deferrals', 'deferrals', 30];
        yield 'sectors' => ['/api/sectors', 'sectors', 14];
        yield 'releases' => ['/api/release', 'release', 26];
        yield 'one release' => ['/api/release/{id}', 'release/1', 28];
        yield 'library' => ['/api/library', 'library', 10];
        yield 'one manual' => ['/api/library/manuals/{code}', 'library/manuals/BM-TRK', 16];
        yield 'stores' => ['/api/stores', 'stores', 19];
        yield 'one part' => ['/api/parts/{number}', 'parts/JV-2914-02', 16];
        yield 'a recalled tool' => ['/api/tools/{code}', 'tools/CT-03', 14];
    }

    #[DataProvider('rooms')]
    public function test_an_answer_is_as_described_and_takes_few_queries(string $route, string $path, int $most): void
    {
        if (self::$description === null) {
            Artisan::call('jorvel:openapi');
            self::$description = json_decode((string) file_get_contents(storage_path('app/openapi.json')));
        }
        $description = self::$description;
        $schema = $description->paths->{$route}->get->responses->{'200'}->content->{'application/json'}->schema;
        $this->person('oda');
        if ($path === 'deferrals') {
            // As it is on every day but for the first to ask.
            app(DueSheets::class)->ensure();
        }
        DB::enableQueryLog();
        $answer = $this->as('oda', 'GET', $path)->assertOk();
        // Without the two that find who asks.
        self::assertLessThanOrEqual(
            $most,
            count(DB::getQueryLog()) - 2,
            implode("\n", array_column(DB::getQueryLog(), 'query')),
        );
        $validator = new Validator;
        $validator->resolver()?->registerRaw(
            (object) ['$id' => 'jorvel:/api', 'components' => $description->components, '$ref' => $schema->{'$ref'}],
            'jorvel:/api',
        );
        $error = $validator->validate(json_decode((string) $answer->getContent()), 'jorvel:/api')->error();
        self::assertNull($error, $error === null ? '' : (string) json_encode((new ErrorFormatter)->format($error)));
    }

    public function test_the_world_is_the_same_at_every_load(): void
    {
        $print = static fn(): string => hash('sha256', (string) json_encode([
            Aircraft::orderBy('id')->get(), ItemStatus::orderBy('id')->get(), ProgrammeItem::orderBy('id')->get(),
            CardTemplate::orderBy('id')->get(), Card::orderBy('id')->get(),
            Step::orderBy('id')->get(), Finding::orderBy('id')->get(), Deferral::orderBy('id')->get(),
            Tool::orderBy('id')->get(), Qualification::orderBy('id')->get(), Certificate::orderBy('id')->get(),
        ]));
        $first = $print();
        Artisan::call('jorvel:demo', ['--fresh' => true]);
        self::assertSame($first, $print());
    }

    public function test_rooms_say_what_belongs_there_when_they_are_empty(): void
    {
        DB::statement('pragma foreign_keys = off');
        DB::table('tenures')->delete();
        foreach ([
            'releases', 'fault_walks', 'test_attempts', 'deferrals', 'findings', 'safing_devices', 'readings',
            'rig_runs', 'assignments', 'presences',
            'handovers', 'tool_loans', 'tool_recalls', 'parts', 'steps', 'cards', 'visits', 'item_statuses',
            'flying_entries', 'aircraft', 'tools',
        ] as $table) {
            DB::table($table)->delete();
        }
        $said = [
            'fleet' => 'No aircraft yet. Import a programme and yesterday\'s flying to begin.',
            'visits' => 'No visit is planned. Open an aircraft in Fleet, choose its due items and make one.',
            'floor' => 'No card is open. Cards come here when the controller makes a visit.',
            'bench' => 'Nothing to test now. The cards of a visit bring their tests here.',
            'bench/attempts' => 'No test was run yet.',
            'bench/riggings' => 'Nothing has been rigged yet. The cards of a visit bring their riggings here.',
            'bench/trends' => 'No point has been read three times yet. A trend begins with the third reading.',
            'bench/recordings' => 'No recording yet. Bring in what a recorder took in a run.',
            'deferrals' => 'No defect is carried. One comes here when a finding is deferred under a listed item.',
            'release' => 'Nothing is on its way out. Visits come here as soon as they are made.',
            'as-of' => 'No aircraft yet. Import a programme and yesterday\'s flying to begin.',
            'stores' => 'No tool yet.', 'due' => 'Nothing falls due within 30 days that is not in a visit.',
            'stagger' => 'No fleet here is worked in phases.',
            'season' => 'No aircraft yet. Import a programme and yesterday\'s flying to begin.',
            'bottles' => 'No bottle or accumulator is fitted to an aircraft.',
        ];
        foreach ($said as $room => $sentence) {
            self::assertSame($sentence, $this->as('ines', 'GET', $room)->assertOk()->json('sentence'), $room);
        }
    }
}
