<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crew\Model\Qualification;
use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ItemStatus;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
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

/** What the rooms answer: in the shape they describe, in the demo world's own story, without a query in a loop. */
final class AnswersTest extends WorldCase
{
    private static ?\stdClass $description = null;

    /** @return iterable<string, array{string, string, int}> route as described, as asked, the most queries it may take */
    public static function rooms(): iterable
    {
        yield 'me' => ['/api/me', 'me', 6];
        yield 'moment' => ['/api/moment', 'moment', 10];
        yield 'fleet, worked out anew' => ['/api/fleet', 'fleet', 30];
        yield 'due list, worked out anew' => ['/api/due', 'due', 34];
        yield 'history' => ['/api/fleet/{mark}/history', 'fleet/QA-VFB/history', 12];
        yield 'stagger' => ['/api/stagger', 'stagger', 24];
        yield 'bottles' => ['/api/bottles', 'bottles', 10];
        yield 'programme' => ['/api/library/programmes/{type}', 'library/programmes/SKV', 12];
        yield 'one aircraft' => ['/api/fleet/{mark}', 'fleet/QA-VFA', 22];
        yield 'visits' => ['/api/visits', 'visits', 12];
        yield 'one visit' => ['/api/visits/{id}', 'visits/1', 28];
        yield 'board' => ['/api/visits/{id}/board', 'visits/1/board', 20];
        yield 'look and fix windows' => ['/api/visits/{id}/window', 'visits/1/window', 18];
        yield 'progress' => ['/api/visits/{id}/progress', 'visits/1/progress', 14];
        yield 'pack' => ['/api/pack', 'pack?mark=QA-VFB&days=60', 40];
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
        yield 'bench' => ['/api/bench', 'bench', 8];
        yield 'deferrals' => ['/api/deferrals', 'deferrals', 16];
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
        DB::enableQueryLog();
        $answer = $this->as('oda', 'GET', $path)->assertOk();
        // Without the two that find who asks.
        self::assertLessThanOrEqual($most, count(DB::getQueryLog()) - 2, implode("\n", array_column(DB::getQueryLog(), 'query')));
        $validator = new Validator;
        $validator->resolver()?->registerRaw((object) ['$id' => 'jorvel:/api', 'components' => $description->components, '$ref' => $schema->{'$ref'}], 'jorvel:/api');
        $error = $validator->validate(json_decode((string) $answer->getContent()), 'jorvel:/api')->error();
        self::assertNull($error, $error === null ? '' : (string) json_encode((new ErrorFormatter)->format($error)));
    }

    public function test_fleet_tells_the_story(): void
    {
        $fleet = $this->as('mika', 'GET', 'fleet')->json();
        $rows = array_column($fleet['rows'], null, 'mark');
        self::assertCount(18, $rows);
        self::assertSame('Q-405 can fly until Tue 5 May: then its deferral runs out, Gearbox oil temperature repeater, today.', $fleet['sentence']);
        self::assertSame(['usage', 'Propeller governor check', '46.5 flight hours'], [$rows['QA-VFC']['stop']['kind'], $rows['QA-VFC']['stop']['title'], $rows['QA-VFC']['stop']['detail']]);
        self::assertSame('waiting', $rows['QA-VFA']['state'], 'in its block check');
        self::assertSame('waiting', $rows['Q-403']['state'], 'waiting for its re-read card');
        self::assertCount(2, $rows['QC-TAB']['fuses'], 'a locked-out reverser and a second deferral');
        self::assertSame(['bottle', 'Crew oxygen bottle BO144 runs low'], [$rows['QA-VFE']['stop']['kind'], $rows['QA-VFE']['stop']['title']], 'its trend meets its minimum');
        $days = array_map(static fn(array $r): int => $r['stop']['days'], array_values(array_filter($fleet['rows'], static fn(array $r): bool => $r['state'] !== 'waiting')));
        $sorted = $days;
        sort($sorted);
        self::assertSame($sorted, $days, 'who stops first comes first');
    }

    public function test_the_world_is_the_same_at_every_load(): void
    {
        $print = static fn(): string => hash('sha256', (string) json_encode([
            Aircraft::orderBy('id')->get(), ItemStatus::orderBy('id')->get(), ProgrammeItem::orderBy('id')->get(), CardTemplate::orderBy('id')->get(), Card::orderBy('id')->get(),
            Step::orderBy('id')->get(), Finding::orderBy('id')->get(), Deferral::orderBy('id')->get(), Tool::orderBy('id')->get(), Qualification::orderBy('id')->get(), Certificate::orderBy('id')->get(),
        ]));
        $first = $print();
        Artisan::call('jorvel:demo', ['--fresh' => true]);
        self::assertSame($first, $print());
    }

    public function test_an_aircraft_shows_both_schools_and_what_is_planned(): void
    {
        $items = array_column($this->as('mika', 'GET', 'fleet/QA-VFA')->json('items'), null, 'code');
        self::assertSame('keeps the plan: late work gains nothing', $items['05-90']['rebase']);
        self::assertSame('counts from when it was done', $items['12-31']['rebase']);
        self::assertSame(['Block check', 'waiting'], [$items['05-90']['visit'], $items['05-90']['state']]);
        self::assertNull($items['12-31']['visit']);
        self::assertSame(['trend', ''], [$items['trend']['code'], $items['trend']['card']], 'its bottle\'s trend stands among them');
        foreach (array_diff_key($items, ['trend' => 0]) as $item) {
            self::assertCount(1, array_filter($item['limits'], static fn(array $l): bool => $l['drives']), $item['code']);
        }
        $this->as('mika', 'GET', 'fleet/QZ-XYZ')->assertNotFound();
    }

    public function test_a_counter_that_passes_its_limit_stops_the_aircraft(): void
    {
        $aircraft = Aircraft::where('mark', 'QA-VFC')->firstOrFail();
        $aircraft->update(['counters' => ['fh' => $aircraft->counters['fh'] + 60, 'ldg' => $aircraft->counters['ldg']]]);
        $view = $this->as('mika', 'GET', 'fleet/QA-VFC')->json();
        self::assertStringStartsWith('QA-VFC must not fly: its limit passed on', $view['sentence']);
        self::assertSame(['stop', 'in_tolerance'], [$view['items'][0]['state'], $view['items'][0]['status']]);
        $aircraft->update(['counters' => ['fh' => $aircraft->counters['fh'] + 20, 'ldg' => $aircraft->counters['ldg']]]);
        self::assertSame('overdue', $this->as('mika', 'GET', 'fleet/QA-VFC')->json('items.0.status'));
    }

    public function test_a_release_moves_its_items_on_by_their_own_school(): void
    {
        $done = ['state' => Step::DONE, 'done_by' => $this->person('oda')->id, 'done_at' => '2026-05-05T12:00:00Z'];
        $closed = ['state' => Card::CLOSED, 'signed_by' => $this->person('oda')->id, 'signed_at' => '2026-05-05T12:00:00Z', 'inspected_by' => $this->person('runa')->id, 'inspected_at' => '2026-05-05T12:30:00Z'];
        $items = ProgrammeItem::whereHas('template', static fn($q) => $q->where('code', 'like', 'SKV%'))->whereIn('code', ['61-21', '29-14'])->pluck('id', 'code');
        $aircraft = Aircraft::where('mark', 'QA-VFC')->firstOrFail();
        ItemStatus::where(['aircraft_id' => $aircraft->id, 'item_id' => $items['29-14']])->update(['date' => '2025-11-30', 'planned' => null]);
        $before = array_column($this->as('ines', 'GET', 'fleet/QA-VFC')->json('items'), null, 'code');
        $visit = $this->as('ines', 'POST', 'visits', ['mark' => 'QA-VFC', 'title' => 'two', 'bay' => 'bay 2', 'start' => '2026-05-05', 'end' => '2026-05-06', 'items' => $items->values()->all()])->assertCreated()->json('id');
        Step::whereIn('card_id', Card::where('visit_id', $visit)->pluck('id'))->update($done);
        Card::where('visit_id', $visit)->update($closed);
        $this->as('tor', 'POST', "release/{$visit}", ['stamp' => 'X02', 'pin' => '0'])->assertStatus(422)->assertJsonPath('message', 'Stamp or PIN is wrong. Nothing was signed; enter both again.');
        $this->as('tor', 'POST', "release/{$visit}", ['stamp' => 'X02', 'pin' => '5520'])->assertOk()->assertJsonPath('state', 'released');
        $after = array_column($this->as('ines', 'GET', 'fleet/QA-VFC')->json('items'), null, 'code');

        // The governor keeps its plan but was done too early for its window, so it counts from today's hours.
        $now = $aircraft->counters['fh'];
        self::assertSame(number_format($now, 1, '.', '').' flight hours', $after['61-21']['limits'][0]['base']);
        self::assertSame('600 flight hours', $after['61-21']['remaining']);
        // The accumulator counts from when it was done.
        self::assertSame(['2026-05-05', '2026-11-05'], [$after['29-14']['limits'][0]['base'], $after['29-14']['limits'][0]['next']]);
        self::assertSame('2026-05-30', $before['29-14']['limits'][0]['next'], '30 November and 6 months');
        $planned = ItemStatus::where(['aircraft_id' => $aircraft->id, 'item_id' => $items['61-21']])->firstOrFail()->planned;
        self::assertEqualsWithDelta($now + 46.5, (float) ($planned['fh'] ?? 0), 0.01, 'what had been planned is kept for the next base');
        $this->as('tor', 'POST', "release/{$visit}", ['stamp' => 'X02', 'pin' => '5520'])->assertStatus(422)->assertJsonPath('message', 'This visit is already released.');
    }

    public function test_a_deferral_carries_its_safing_devices_through_release(): void
    {
        $card = Card::where('state', Card::IN_WORK)->firstOrFail();
        Finding::where('aircraft_id', $card->aircraft_id)->update(['state' => 'fixed']);
        SafingDevice::query()->update(['removed_at' => '2026-05-05T10:00:00Z']);
        $step = $card->steps()->firstOrFail();
        SafingDevice::create(['aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'fitted_step_id' => $step->id, 'fitted_by' => $this->person('oda')->id, 'kind' => 'Collar', 'place' => 'panel', 'flag' => 'red', 'fitted_at' => '2026-05-05T10:00:00Z']);
        $finding = Finding::create(['aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'raised_by' => $this->person('oda')->id, 'number' => 'F0099', 'chapter' => '61', 'place' => 'boot', 'extent' => 'torn', 'state' => 'open', 'raised_at' => '2026-05-05T10:00:00Z']);
        $option = $this->as('ines', 'GET', 'deferrals')->json('findings.0.options.0');
        self::assertSame(['61-L1', '2026-05-15'], [$option['code'], $option['date']]);
        $body = ['item' => $option['id'], 'safed' => false, 'carry_safing' => true, 'stamp' => 'C01', 'pin' => '1101'];
        self::assertStringContainsString('Confirm first that the procedure', $this->as('ines', 'POST', "findings/{$finding->id}/defer", $body)->assertStatus(422)->json('message'));
        $wrong = DB::table('listed_items')->where('code', '25-L1')->value('id');
        self::assertStringContainsString('does not cover this finding', $this->as('ines', 'POST', "findings/{$finding->id}/defer", [...$body, 'item' => $wrong, 'safed' => true])->assertStatus(422)->json('message'));
        $codes = fn(): array => array_column($this->as('tor', 'GET', "release/{$card->visit_id}")->json('blockers'), 'code');
        self::assertContains('safing_left', $codes());
        $this->as('ines', 'POST', "findings/{$finding->id}/defer", [...$body, 'safed' => true])->assertOk();
        self::assertNotContains('safing_left', $codes());
        Deferral::where('finding_id', $finding->id)->update(['discovered_at' => '2026-04-20T10:00:00Z']);
        self::assertSame(['deferral_invalid', 'safing_left'], array_values(array_intersect($codes(), ['deferral_invalid', 'safing_left'])), 'run out, it carries nothing');
        self::assertStringContainsString('must not fly', $this->as('ines', 'GET', 'deferrals')->json('sentence'));
    }

    public function test_a_revision_that_came_after_a_card_was_closed_still_blocks_and_small_ranges_are_said_whole(): void
    {
        $visit = DB::table('visits')->where('state', 'in_work')->value('id');
        Card::where('visit_id', $visit)->update(['state' => Card::CLOSED]);
        DB::table('manuals')->where('code', 'AM-SKV')->update(['revision' => 13]);
        self::assertContains('revision_stale', array_column($this->as('tor', 'GET', "release/{$visit}")->json('blockers'), 'code'));
        $tools = array_column($this->as('mika', 'GET', 'stores')->json('tools'), 'range', 'code');
        self::assertSame('0.02 to 1 mm, reads to 0.02', $tools['FG-11']);
    }

    public function test_rooms_say_what_belongs_there_when_they_are_empty(): void
    {
        DB::statement('pragma foreign_keys = off');
        DB::table('tenures')->delete();
        foreach (['releases', 'deferrals', 'findings', 'safing_devices', 'readings', 'rig_runs', 'assignments', 'presences', 'handovers', 'tool_loans', 'tool_recalls', 'parts', 'steps', 'cards', 'visits', 'item_statuses', 'flying_entries', 'aircraft', 'tools'] as $table) {
            DB::table($table)->delete();
        }
        $said = [
            'fleet' => 'No aircraft yet. Import a programme and yesterday\'s flying to begin.',
            'visits' => 'No visit is planned. Open an aircraft in Fleet, choose its due items and make one.',
            'floor' => 'No card is open. Cards come here when the controller makes a visit.',
            'bench' => 'No test or rigging is on an open card. They come here from the cards of a visit.',
            'deferrals' => 'No defect is carried. One comes here when a finding is deferred under a listed item.',
            'release' => 'Nothing is on its way out. Visits come here as soon as they are made.',
            'stores' => 'No tool yet.',
            'due' => 'Nothing falls due within 30 days that is not in a visit.',
            'stagger' => 'No fleet here is worked in phases.',
            'bottles' => 'No bottle or accumulator is fitted to an aircraft.',
        ];
        foreach ($said as $room => $sentence) {
            self::assertSame($sentence, $this->as('ines', 'GET', $room)->assertOk()->json('sentence'), $room);
        }
    }
}
