<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Fleet\Model\AircraftType;
use App\Floor\Model\Card;
use App\Floor\Model\Remark;
use App\Library\Do\CardDesk;
use App\Library\Do\RenewCard;
use App\Library\Do\TemplateFile;
use App\Library\Model\CardTemplate;
use App\Library\Model\CardVersion;
use App\Library\Model\Panel;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Library\CardState;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** Cards written here: draft, checked by a second person, in force by name; every version kept. */
final class CardTest extends WorldCase
{
    private const CODE = 'SKV-32-42';

    /** @return array<string, mixed> the card in force, as its file has it */
    private function body(string $code = self::CODE): array
    {
        return TemplateFile::body(CardTemplate::with('manual')->where('code', $code)->firstOrFail());
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return TestResponse<Response>
     */
    private function save(string $who, array $body, ?int $version = null, string $note = ''): TestResponse
    {
        return $this->as($who, 'POST', 'library/card-sets/SKV/drafts', [
            'body' => TemplateFile::asObject($body), 'note' => $note,
            ...$version === null ? [] : ['version' => $version],
        ]);
    }

    /** @return TestResponse<Response> */
    private function sign(string $who, string $what, int $draft, int $version): TestResponse
    {
        [$stamp, $pin] = ['ines' => ['C01', '1101'], 'runa' => ['I04', '4410'], 'tor' => ['X02', '5520']][$who];

        return $this->as($who, 'POST', "library/drafts/{$draft}/{$what}", [
            'version' => $version, 'stamp' => $stamp, 'pin' => $pin,
        ]);
    }

    public function test_every_card_of_the_demo_world_goes_out_and_in_without_a_fault_or_a_difference(): void
    {
        foreach (AircraftType::all() as $type) {
            $file = TemplateFile::read(TemplateFile::json($type));
            $rows = CardTemplate::with('manual')->where('type_id', $type->id)->orderBy('code')->get();
            self::assertCount($rows->count(), $file->cards);
            foreach ($rows as $i => $template) {
                $row = TemplateFile::row($file->cards[$i], $type->id);
                self::assertEquals(
                    array_filter(
                        $template->only(array_keys($row)),
                        static fn(mixed $v): bool => $v !== null && $v !== [],
                    ),
                    array_filter(
                        [...$row, 'stage' => $template->stage],
                        static fn(mixed $v): bool => $v !== null && $v !== [],
                    ),
                    $template->code,
                );
            }
            $looked = $this->as('ines', 'POST', 'library/imports', [
                'kind' => 'cards', 'name' => "{$type->code}.json", 'text' => TemplateFile::json($type),
            ])->assertOk()->json('changes');
            self::assertSame([], $looked, 'the same cards change nothing');
        }
    }

    public function test_a_draft_is_checked_by_a_second_person_and_comes_in_force_by_name(): void
    {
        $made = Card::whereHas('template', static fn($q) => $q->where('code', self::CODE))
            ->where('state', Card::OPEN)->firstOrFail();
        $before = $made->steps()->pluck('title')->all();
        $body = $this->body();
        $body['steps'][] = [
            'kind' => 'count', 'title' => 'Drain the sump', 'text' => '', 'spec' => ['counts' => 'cups', 'max' => 2],
        ];
        $panel = Panel::where('type_id', $made->aircraft->type_id)->whereNotIn('code', $made->panels)->value('code');
        [$title, $hours] = [$made->title, $made->hours];
        $body = [...$body, 'independent_inspection' => true, 'covers' => ['locking'], 'panels' => [$panel]];
        self::assertFalse($made->independent_inspection, 'the card as it is needs no second person');
        $room = $this->save('runa', $body, note: 'the sump was missing')->assertOk()->json();
        self::assertSame([self::CODE.' is in force as version 1; version 2 is being written.', 'draft', ['write']], [
            $room['sentence'], $room['draftState'], $room['may'],
        ]);
        [$id, $version] = [$room['draftId'], $room['draftVersion']];
        $said = $this->sign('runa', 'check', $id, $version)->assertStatus(422)->json('message');
        self::assertStringContainsString('somebody else checks it', $said);
        $this->sign('tor', 'force', $id, $version)->assertStatus(422);
        $this->as('tor', 'POST', "library/drafts/{$id}/check", ['version' => $version, 'stamp' => 'X02', 'pin' => '0'])
            ->assertStatus(422);
        $this->sign('ines', 'check', $id, $version)->assertOk()->assertJsonPath('draftState', 'checked');
        // Written at once more, it is a draft again: what was checked is not what it says.
        $body['steps'][1]['text'] = 'Another word.';
        $this->save('tor', $body, $version)->assertOk()->assertJsonPath('draftState', 'draft');
        $this->sign('ines', 'force', $id, $version)->assertStatus(409);
        $this->sign('tor', 'check', $id, $version + 1)->assertStatus(422);
        $this->sign('ines', 'check', $id, $version + 1)->assertOk();
        $this->sign('ines', 'force', $id, $version + 1)->assertOk()
            ->assertJsonPath('sentence', self::CODE.' is in force as version 2.');
        $template = CardTemplate::where('code', self::CODE)->firstOrFail();
        self::assertSame(
            [2, 'Drain the sump'],
            [$template->version, $template->steps[array_key_last($template->steps)]['title']],
        );
        self::assertSame($before, $made->steps()->pluck('title')->all(), 'a card that is made keeps its text');
        self::assertSame(2, $this->as('oda', 'GET', "cards/{$made->id}")->json('newer'));
        $this->as('oda', 'POST', "cards/{$made->id}/steps/2/remarks", ['text' => 'The sump is behind the pump.'])
            ->assertOk();
        $renew = ['version' => $made->refresh()->version];
        $this->as('ines', 'POST', "cards/{$made->id}/renew", ['version' => 0])->assertStatus(409);
        $this->as('ines', 'POST', "cards/{$made->id}/renew", $renew)->assertOk()->assertJsonPath('newer', null);
        self::assertSame('Drain the sump', $made->steps()->pluck('title')->last());
        // It asks for all that the text asks: the second person, and the panel, which the visit opens and closes.
        $made->refresh();
        self::assertSame([true, ['locking'], $title, $hours, 2], [
            $made->independent_inspection, $made->covers, $made->title, $made->hours, $made->template_version,
        ]);
        self::assertContains($panel, $made->panels);
        $opens = $made->visit->cards()->where('makes', "open:{$panel}")->firstOrFail();
        self::assertContains($opens->id, $made->waitsFor->modelKeys(), 'the panel comes before it');
        self::assertSame([2], $made->steps()->whereIn('id', Remark::where('card_id', $made->id)->pluck('step_id'))
            ->pluck('no')->all(), 'what was said at a step stays at it');
        $again = $made->replicate()->fill(['makes' => Card::RECHECK, 'template_version' => 1]);
        self::assertFalse(RenewCard::newer($again, $template), 'a re-check has the steps of another card');
        $this->as('ines', 'POST', "cards/{$made->id}/renew", ['version' => $made->refresh()->version])
            ->assertStatus(422);
        $states = CardVersion::where('code', self::CODE)->orderBy('no')->get()->map(
            static fn(CardVersion $v): string => $v->state->value,
        )->all();
        self::assertSame(['replaced', 'in_force'], $states);
        $changes = $this->as('mika', 'GET', 'library/card-versions/SKV/1/2/'.self::CODE)->assertOk()->json();
        self::assertSame(
            ['independent inspection', 'covers', 'panels', 'step 2', 'step '.count($body['steps'])],
            array_column($changes, 'at'),
        );
        self::assertSame(['', 'count: Drain the sump. counts cups; max 2'], [$changes[4]['was'], $changes[4]['is']]);
        $this->artisan('jorvel:verify')->assertSuccessful();
        // What was in force once is changed by nobody, whatever way they come.
        $this->expectExceptionMessage('stands as it is');
        DB::table('card_versions')->where('code', self::CODE)->update(['body' => '{}']);
    }

    public function test_a_text_written_meanwhile_is_not_checked_by_whoever_read_the_older_one(): void
    {
        $this->save('runa', $this->body())->assertOk();
        $read = CardVersion::where(['code' => self::CODE, 'state' => CardState::Draft])->firstOrFail();
        $seen = $read->version;
        $this->save('runa', [...$this->body(), 'hours' => 9], $seen)->assertOk();
        try {
            app(CardDesk::class)->check($this->person('ines'), $read, $seen, 'C01', '1101');
            self::fail('checked what she had not read');
        } catch (Refused $e) {
            self::assertStringContainsString('while you had it open', $e->getMessage());
        }
        self::assertSame(CardState::Draft, $read->refresh()->state);
    }

    public function test_a_warning_that_went_is_pointed_out(): void
    {
        $body = $this->body('SKV-35-11');
        array_shift($body['steps']);
        $this->save('ines', $body)->assertOk();
        $changes = $this->as('ines', 'GET', 'library/card-versions/SKV/1/2/SKV-35-11')->assertOk()->json();
        self::assertSame([['step 1 of before', true]], array_map(
            static fn(array $c): array => [$c['at'], $c['warningGone']],
            $changes,
        ));
    }

    public function test_two_who_write_do_not_write_over_each_other_and_a_draft_can_be_discarded(): void
    {
        $room = $this->save('ines', $this->body())->assertOk()->json();
        $this->save('runa', $this->body())->assertStatus(422);
        $this->save('runa', $this->body(), 1)->assertOk();
        $this->save('ines', $this->body(), 1)->assertStatus(409);
        $this->as('ines', 'POST', "library/drafts/{$room['draftId']}/discard", ['version' => 1])->assertStatus(409);
        $this->as('ines', 'POST', "library/drafts/{$room['draftId']}/discard", ['version' => 2])->assertOk()
            ->assertJsonPath('draft', null);
        $this->save('ines', $this->body(), 2)->assertStatus(422);
        $this->save('ines', $this->body())->assertOk()->assertJsonPath('draftId', $room['draftId'] + 1);
    }

    public function test_a_new_card_is_written_with_faults_and_is_not_checked_before_they_are_gone(): void
    {
        $body = [
            'code' => 'SKV-99-1', 'title' => 'A new one', 'manual' => 'AM-SKV', 'revision' => 99, 'chapter' => '99',
            'section' => '99-1', 'skill' => 'airframe', 'hours' => 1, 'zone' => 'cellar', 'stage' => 'look',
            'panels' => ['P999'], 'after' => ['SKV-XX'], 'parts' => ['JV-0' => 1],
            'steps' => [
                [
                    'kind' => 'part', 'title' => 'Fit', 'text' => '',
                    'spec' => ['part' => 'JV-0', 'quantity' => 1, 'position' => 'x'],
                ],
            ],
        ];
        $room = $this->save('ines', $body)->assertOk()->json();
        self::assertSame('SKV-99-1 is not in force yet; version 1 is being written.', $room['sentence']);
        $lines = $this->sign('runa', 'check', $room['draftId'], 1)->assertStatus(422)->json('lines');
        self::assertSame(
            ['revision', 'zone', 'panel 1', 'after 1', 'parts, JV-0', 'step 1, part'],
            array_column($lines, 'line'),
        );
        $this->save('ines', ['title' => 'no number'])->assertStatus(422);
        $whole = [
            ...$body, 'revision' => 12, 'zone' => 'cabin',
            'steps' => [['kind' => 'instruction', 'title' => 'Do', 'text' => '']],
        ];
        unset($whole['panels'], $whole['after'], $whole['parts']);
        $this->save('ines', $whole, 1)->assertOk();
        $this->sign('runa', 'check', $room['draftId'], 2)->assertOk();
        $this->sign('ines', 'force', $room['draftId'], 2)->assertOk();
        $visit = Visit::whereHas('aircraft', static fn($q) => $q->where('mark', 'QA-VFC'))
            ->whereNot('state', Visit::RELEASED)
            ->first()->id ?? Visit::where('title', 'Block check')->valueOrFail('id');
        $id = CardTemplate::where('code', 'SKV-99-1')->valueOrFail('id');
        $this->as('ines', 'POST', "visits/{$visit}/cards", ['template' => $id])->assertCreated();
    }

    public function test_the_preview_shows_what_the_technician_gets_and_every_fault_by_the_number_on_the_card(): void
    {
        $steps = [
            ['kind' => 'each', 'title' => 'Each door', 'spec' => ['positions' => ['left', 'right'], 'steps' => [
                ['kind' => 'instruction', 'title' => 'Open {position}', 'text' => '', 'spec' => [
                    'disturbs' => [['what' => '{position} door', 'how' => 'opened', 'proofs' => ['travel']]],
                ]],
            ]]],
            ['kind' => 'measurement', 'title' => 'Read', 'text' => '', 'spec' => [
                'reading' => ['point' => 'p', 'limit' => ['kind' => 'max', 'unit' => 'bar', 'max' => 2]],
            ]],
        ];
        $look = fn(array $steps): array => $this->as('ines', 'POST', 'library/card-sets/SKV/preview', [
            'body' => [...$this->body(), 'steps' => $steps],
        ])->assertOk()->json();
        $good = $look($steps);
        self::assertSame([], $good['faults']);
        self::assertSame(['Open left', 'Open right', 'Read'], array_column($good['steps'], 'title'));
        self::assertSame(['0.0', '0.0', '1'], $good['places']);
        self::assertStringContainsString('P [at most 2 bar]   reading: __________ bar', $good['paper'][2]);
        self::assertStringContainsString(
            'Step 2 disturbs right door; no later step joins it.',
            implode(' ', $good['leaves']),
        );
        $steps[1]['spec']['reading']['limit']['kind'] = 'range';
        $bad = $look($steps);
        self::assertSame(['steps.1.spec.reading.limit.min', 'step 3, reading, limit, min'], [
            $bad['faults'][0]['path'], $bad['faults'][0]['place'],
        ]);
        self::assertSame(
            ['Open left', 'Open right', 'Read'],
            array_column($bad['steps'], 'title'),
            'the others are shown',
        );
        self::assertSame('instruction', $bad['steps'][2]['kind']);
        // Whatever is sent, it is answered, and by its place.
        foreach ([[], ['steps' => 'x'], ['steps' => [7]], ['steps' => [['kind' => 'each']]]] as $odd) {
            $this->as('ines', 'POST', 'library/card-sets/SKV/preview', ['body' => ['code' => 'X', ...$odd]])
                ->assertOk();
        }
    }

    /** @return iterable<string, array{string, string, string, list<string>}> */
    public static function bulk(): iterable
    {
        yield 'a kind of tool' => ['tool_kind', 'feeler gauge', 'micrometer', ['SKV-32-42', 'SKV-35-11']];
        yield 'a product' => ['product', 'grease JV-G20', 'grease JV-G21', ['SKV-LUB']];
        yield 'a part, in its list too' => ['part', 'JV-3511-03', 'JV-7611-14', ['SKV-35-11', 'SKV-35-21']];
    }

    /** @param list<string> $codes */
    #[DataProvider('bulk')]
    public function test_one_thing_is_put_in_place_of_another_in_many_cards(
        string $what,
        string $from,
        string $to,
        array $codes,
    ): void {
        $ask = ['what' => $what, 'from' => $from, 'to' => $to];
        $seen = $this->as('ines', 'POST', 'library/card-sets/SKV/bulk', $ask)->assertOk()->json('rows');
        self::assertSame([], array_diff($codes, array_column($seen, 'code')));
        self::assertSame(0, CardVersion::count(), 'a preview makes nothing');
        $this->save('runa', $this->body($codes[0]))->assertOk();
        $rows = $this->as('ines', 'POST', 'library/card-sets/SKV/bulk', [...$ask, 'save' => true]);
        if (count($seen) === 1) {
            $rows->assertStatus(422);

            return;
        }
        self::assertCount(
            1,
            array_filter($rows->assertOk()->json('rows'), static fn(array $r): bool => $r['why'] !== null),
        );
        $draft = CardVersion::where(['code' => $codes[1], 'state' => 'draft'])->firstOrFail();
        self::assertStringNotContainsString($from, (string) json_encode($draft->body));
        self::assertStringContainsString($to, (string) json_encode($draft->body));
        $stands = (string) DB::table('card_templates')->where('code', $codes[1])->value('steps');
        self::assertStringContainsString($from, $stands, 'nothing is in force by it');
    }

    public function test_a_set_of_cards_comes_in_as_drafts_and_is_refused_whole_with_every_fault(): void
    {
        $cards = [$this->body(), $this->body('SKV-25-61')];
        $cards[0]['steps'][0]['text'] = 'Put on goggles.';
        $cards[1]['hours'] = 2.5;
        $text = static fn(array $cards): string => (string) json_encode([
            'type' => 'SKV', 'cards' => array_map(TemplateFile::asObject(...), $cards),
        ]);
        $bring = fn(string $text): TestResponse => $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'cards', 'name' => 'set.json', 'text' => $text,
        ]);
        $bad = $cards;
        $bad[0]['steps'][1] = ['kind' => 'count', 'title' => 'x'];
        $bad[1]['zone'] = 'attic';
        self::assertSame(['SKV-32-42, steps.1.spec', 'SKV-25-61, zone'], array_column(
            $bring($text($bad))->assertStatus(422)->json('lines'),
            'line',
        ));
        foreach (['{', '[]', '{"type":"SKV","cards":[]}', '{"type":"QQQ","cards":[1]}'] as $odd) {
            $bring($odd)->assertStatus(422);
        }
        $view = $bring($text($cards))->assertOk()->json();
        self::assertSame(['step 1', 'hours'], array_column($view['changes'], 'what'));
        $this->as('ines', 'POST', "library/imports/{$view['id']}/apply")->assertOk();
        self::assertSame(2, CardVersion::where('state', 'draft')->count());
        self::assertNotSame(
            2.5,
            CardTemplate::where('code', 'SKV-25-61')->valueOrFail('hours'),
            'nothing is in force by it',
        );
        $bring($text($cards))->assertStatus(422);
    }

    public function test_what_a_card_needs_is_what_its_cards_wait_for_open_and_show(): void
    {
        $first = CardTemplate::where('code', 'SKV-28-21')->firstOrFail();
        CardTemplate::where('code', 'SKV-25-61')->firstOrFail()->update([
            'after' => ['SKV-28-21'], 'panels' => ['P1'], 'ground' => ['work stand'],
        ]);
        $items = DB::table('programme_items')
            ->whereIn('template_id', CardTemplate::whereIn('code', ['SKV-28-21', 'SKV-25-61'])
            ->select('id'))->pluck('id')->all();
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'Two', 'bay' => 'line', 'start' => '2026-05-06', 'end' => '2026-05-07',
            'items' => array_map(strval(...), array_slice($items, 0, 6)),
        ])->assertCreated()->json('id');
        $cards = Card::with('waitsFor')->where('visit_id', $visit)->get();
        $second = $cards->first(static fn(Card $c): bool => $c->ground === ['work stand']);
        self::assertNotNull($second);
        self::assertContains('P1', $second->panels);
        self::assertContains($first->id, $second->waitsFor->pluck('template_id')->all());
    }
}
