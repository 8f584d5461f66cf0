<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Library\Model\Reread;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** A manual's revision: what it marks, who reads it again, and two methods for two fleets. */
final class RevisionTest extends WorldCase
{
    private function template(): CardTemplate
    {
        return CardTemplate::where('code', 'TRK-76-22')->firstOrFail();
    }

    /** @return list<string> warnings that the new method of the change-over check drops */
    private function lost(): array
    {
        $templates = $this->as('ines', 'GET', 'library/manuals/BM-TRK')->json('templates');

        return array_column($templates, null, 'code')['TRK-76-22']['lost'];
    }

    private function held(): Card
    {
        return Card::where('template_id', $this->template()->id)->where('state', Card::OPEN)->firstOrFail();
    }

    public function test_the_text_stands_old_beside_new_and_the_card_waits_for_its_template(): void
    {
        $room = $this->as('ivo', 'GET', 'library/manuals/BM-TRK')->assertOk()->json();
        self::assertSame('1 card template and 1 open card must be re-read against revision 7.', $room['sentence']);
        $marked = array_values(array_filter($room['templates'], static fn(array $t): bool => $t['marked']));
        self::assertSame(['TRK-76-22', 'both engines', 'its text is changed'], [
            $marked[0]['code'], $marked[0]['proposed'], $marked[0]['textState'],
        ]);
        self::assertContains(['kind' => 'new', 'text' => ' both engines'], $marked[0]['pieces']);
        self::assertSame(['76-22'], array_column(
            array_filter($room['passages'], static fn(array $p): bool => $p['state'] !== 'same'),
            'section',
        ));
        $card = $this->held();
        $this->as('ivo', 'POST', "cards/{$card->id}/reread", [
            'version' => $card->version, 'outcome' => 'stands', 'note' => 'read',
        ])->assertStatus(422)->assertJsonFragment(
            ['message' => 'The card template TRK-76-22 is not re-read yet. That comes first, in Library.'],
        );
        $this->as('ivo', 'POST', "library/templates/{$this->template()->id}/reread", [
            'outcome' => 'stands', 'note' => 'x',
        ])->assertStatus(403);
        $this->as(
            'ines',
            'POST',
            "library/templates/{$this->template()->id}/reread",
            ['outcome' => 'new', 'note' => ''],
        )
            ->assertStatus(422);
    }

    public function test_the_new_method_for_every_fleet_and_the_card_made_anew(): void
    {
        $template = $this->template();
        $this->as('wenna', 'POST', "library/templates/{$template->id}/reread", [
            'outcome' => 'new', 'note' => 'both engines now', 'seen' => $this->lost(),
        ])->assertOk();
        self::assertSame([7, 'both engines', 5], [
            $template->refresh()->revision, $template->method, count($template->steps),
        ]);
        $this->as('wenna', 'POST', "library/templates/{$template->id}/reread", [
            'outcome' => 'stands', 'note' => 'again',
        ])->assertStatus(422);
        $card = $this->held();
        $this->as('ivo', 'POST', "cards/{$card->id}/reread", [
            'version' => $card->version + 1, 'outcome' => 'new', 'note' => 'x',
        ])->assertStatus(409);
        $view = $this->as('ivo', 'POST', "cards/{$card->id}/reread", [
            'version' => $card->version, 'outcome' => 'new', 'note' => 'read with Hald',
        ])->assertOk()->json();
        self::assertSame([7, null, 29], [$view['revision'], $view['held'], count($view['steps'])]);
        $this->as('ivo', 'POST', "cards/{$card->id}/lessons/read")->assertOk();
        $this->as('ivo', 'POST', "cards/{$card->id}/steps/1", ['version' => $view['version'], 'do' => 'done'])
            ->assertOk();
        self::assertSame(
            [['new', 6, 7], ['new', 6, 7]],
            Reread::orderBy('id')->get()
                ->map(static fn(Reread $r): array => [$r->outcome, $r->from_revision, $r->to_revision])->all(),
        );
        self::assertSame(2, DB::table('records')->whereIn('what', ['template.reread', 'card.reread'])->count());
    }

    public function test_a_card_that_is_begun_is_accepted_as_it_stands_and_loses_nothing(): void
    {
        $template = $this->template();
        $this->as('ines', 'POST', "library/templates/{$template->id}/reread", [
            'outcome' => 'new', 'note' => 'n', 'seen' => $this->lost(),
        ])->assertOk();
        $card = $this->held();
        Step::where(['card_id' => $card->id, 'no' => 1])->update(['state' => Step::DONE]);
        $refused = $this->as('ivo', 'POST', "cards/{$card->id}/reread", [
            'version' => $card->version, 'outcome' => 'new', 'note' => 'n',
        ])->assertStatus(422)->json('message');
        self::assertStringContainsString('has steps done', $refused);
        $this->as('ivo', 'POST', "cards/{$card->id}/reread", [
            'version' => $card->version, 'outcome' => 'stands', 'note' => 'what is done holds',
        ])->assertOk()->assertJsonPath('held', null);
        self::assertSame(25, $card->steps()->count());
    }

    public function test_the_revision_that_ships_to_be_tried_holds_a_card_in_work_until_it_is_accepted(): void
    {
        $flaps = Card::where('title', 'Flap travel timing')->where('state', Card::IN_WORK)->firstOrFail();
        $file = (string) file_get_contents(base_path('database/demo/import/revision-TM-OLN-6.json'));
        $seen = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'revision', 'name' => 'revision-TM-OLN-6.json', 'text' => $file,
        ])->assertSuccessful()->json();
        self::assertNull($this->as('stig', 'GET', "cards/{$flaps->id}")->json('held'), 'looked at, it changes nothing');
        $this->as('ines', 'POST', "library/imports/{$seen['id']}/apply")->assertOk();
        self::assertStringContainsString(
            'TM-OLN is at revision 6',
            (string) $this->as('stig', 'GET', "cards/{$flaps->id}")->json('held'),
        );
        $this->as('stig', 'POST', "cards/{$flaps->id}/steps/4", [
            'version' => $flaps->version, 'do' => 'read', 'entry' => '0.2', 'tool' => 'FG-11',
        ])->assertStatus(422);
        $this->as('tor', 'POST', "library/templates/{$flaps->template_id}/reread", [
            'outcome' => 'stands', 'note' => 'limits read again with the desk',
        ])->assertOk();
        $this->as('stig', 'POST', "cards/{$flaps->id}/reread", [
            'version' => $flaps->version, 'outcome' => 'stands', 'note' => 'both jacks below 0.3',
        ])->assertOk()->assertJsonPath('held', null);
    }

    public function test_both_methods_stay_each_to_its_fleet(): void
    {
        $template = $this->template();
        $other = DB::table('fleets')->insertGetId(['code' => 'school', 'name' => 'Coast school']);
        $this->as('ines', 'POST', "library/templates/{$template->id}/reread", [
            'outcome' => 'both', 'note' => 'n', 'seen' => $this->lost(),
        ])->assertStatus(422)->assertJsonFragment(
            ['message' => 'Say which fleets work by the new method; the others keep the present one.'],
        );
        $this->as('ines', 'POST', "library/templates/{$template->id}/reread", [
            'outcome' => 'both', 'note' => 'the school only', 'fleets' => ['school'], 'seen' => $this->lost(),
        ])->assertOk();
        self::assertSame([6, 7], [$template->refresh()->revision, $template->stays_until]);
        // The held card's own method is in force for its fleet again.
        self::assertNull($this->as('ivo', 'GET', "cards/{$this->held()->id}")->json('held'));
        DB::table('aircraft')->where('mark', 'Q-404')->update(['fleet_id' => $other]);
        $made = [];
        foreach (['Q-404', 'Q-405'] as $mark) {
            $item = DB::table('programme_items')->where(
                ['code' => '76-22', 'type_id' => Aircraft::where('mark', $mark)->value('type_id')],
            )->value('id');
            $visit = $this->as('ines', 'POST', 'visits', [
                'mark' => $mark, 'title' => 'x', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06',
                'items' => [$item],
            ])->assertCreated()->json('id');
            $card = Card::with('template')->where('visit_id', $visit)->whereNotNull('item_id')->firstOrFail();
            $made[$mark] = [$card->template->method, $card->revision, $card->steps()->count()];
        }
        self::assertSame(['Q-404' => ['both engines', 7, 29], 'Q-405' => ['one engine', 6, 25]], $made);

        // A later revision marks both, also the one that is held; each is read again for itself.
        $file = [
            'manual' => 'BM-TRK', 'revision' => 8, 'issued' => '2026-05-05', 'summary' => 'Cooling.', 'passages' => [
                ['section' => '76-22', 'title' => 'Change-over', 'text' => 'Cool for three minutes.'],
            ],
        ];
        $look = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'revision', 'name' => 'rev8.json', 'text' => json_encode($file),
        ])->assertOk()->json();
        $this->as('ines', 'POST', "library/imports/{$look['id']}/apply")->assertOk();
        self::assertStringContainsString(
            'must be re-read',
            (string) $this->as('ivo', 'GET', "cards/{$this->held()->id}")->json('held'),
        );
        $this->as('ines', 'POST', "library/templates/{$template->id}/reread", [
            'outcome' => 'both', 'note' => 'n', 'fleets' => ['coast'], 'seen' => $this->lost(),
        ])->assertStatus(422);
        $this->as('ines', 'POST', "library/templates/{$template->id}/reread", [
            'outcome' => 'stands', 'note' => 'our data still names revision 6', 'seen' => $this->lost(),
        ])->assertOk();
        self::assertSame([6, 8], [$template->refresh()->revision, $template->stays_until]);
        self::assertNull($this->as('ivo', 'GET', "cards/{$this->held()->id}")->json('held'));
        self::assertSame(
            ['TRK-76-22/2'],
            array_values(array_filter(
                array_column(
                    array_filter(
                        $this->as('ines', 'GET', 'library/manuals/BM-TRK')->json('templates'),
                        static fn(array $t): bool => $t['marked'],
                    ),
                    'code',
                ),
                static fn(string $c): bool => str_starts_with($c, 'TRK-76-22'),
            )),
            'the other method is read for itself',
        );
    }

    public function test_an_open_card_of_a_fleet_that_goes_over_to_the_new_method_waits_until_it_is_read_again(): void
    {
        $template = $this->template();
        $card = $this->held();
        $this->as('ines', 'POST', "library/templates/{$template->id}/reread", [
            'outcome' => 'both', 'note' => 'this fleet', 'fleets' => ['coast'], 'seen' => $this->lost(),
        ])->assertOk();
        self::assertStringContainsString(
            'must be re-read',
            (string) $this->as('ivo', 'GET', "cards/{$card->id}")->json('held'),
            'the old method is not in force here',
        );
        $this->as('ivo', 'POST', "cards/{$card->id}/steps/1", ['version' => $card->version, 'do' => 'done'])
            ->assertStatus(422);
        $room = $this->as('ivo', 'GET', 'library/manuals/BM-TRK')->json();
        self::assertSame(
            [[$card->number, true]],
            array_map(static fn(array $c): array => [$c['number'], $c['templateRead']], $room['cards']),
        );
        $view = $this->as('ivo', 'POST', "cards/{$card->id}/reread", [
            'version' => $card->version, 'outcome' => 'new', 'note' => 'read',
        ])->assertOk()->json();
        self::assertSame([null, 7, 'both engines', 29], [
            $view['held'], $view['revision'], $view['method'], count($view['steps']),
        ]);
    }

    public function test_a_revision_is_brought_in_looked_at_first_and_marks_what_cites_it(): void
    {
        $file = [
            'manual' => 'AM-SKV', 'revision' => 13, 'issued' => '2026-05-04', 'summary' => 'Governor pressures.',
            'passages' => [
                ['section' => '61-21', 'title' => 'Propeller governor', 'text' => 'Engines off and cold. Read twice.'],
                ['section' => '99-01', 'title' => 'New', 'text' => 'New text.'],
                ['section' => '29-14', 'title' => 'Hydraulic accumulator', 'text' => ''],
            ],
        ];
        $look = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'revision', 'name' => 'rev13.json', 'text' => json_encode($file),
        ])->assertOk()->json();
        self::assertSame(
            [
                ['61-21 Propeller governor', 'changed'], ['99-01 New', 'new passage'],
                ['29-14 Hydraulic accumulator', 'withdrawn'],
            ],
            array_map(static fn(array $c): array => [$c['subject'], $c['what']], $look['changes']),
        );
        self::assertNotSame([], $look['dates']);
        self::assertSame(
            12,
            DB::table('manuals')->where('code', 'AM-SKV')->value('revision'),
            'a look changes nothing',
        );
        $this->as('ines', 'POST', "library/imports/{$look['id']}/apply")->assertOk();
        $room = $this->as('ines', 'GET', 'library/manuals/AM-SKV')->json();
        self::assertSame([13, 2], [
            $room['revision'], count(array_filter($room['templates'], static fn(array $t): bool => $t['marked'])),
        ]);
        self::assertSame(
            ['27-31', '32-43'],
            array_column(
                array_filter($room['passages'], static fn(array $p): bool => $p['state'] === 'same'),
                'section',
            ),
            'what it does not name goes on',
        );
        $marked = array_column($room['templates'], 'marked', 'code');
        self::assertSame([false, true, true], [$marked['SKV-27-31'], $marked['SKV-61-21'], $marked['SKV-29-14']]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badFiles(): iterable
    {
        yield 'not newer' => [['revision' => 12], 'revision'];
        yield 'no such manual' => [['manual' => 'XX'], 'manual'];
        yield 'no date' => [['issued' => 'May'], 'issued'];
        yield 'a section twice' => [
            [
                'passages' => [
                    ['section' => 'a', 'title' => 't', 'text' => 'x'],
                    ['section' => 'a', 'title' => 't', 'text' => 'y'],
                ],
            ],
            'passages.1.section',
        ];
        yield 'a method of nothing' => [
            [
                'methods' => [
                    ['of' => 'TRK-76-22', 'method' => 'm', 'steps' => [['kind' => 'instruction', 'title' => 't']]],
                ],
            ],
            'methods.0.of',
        ];
        yield 'a step without what its kind needs' => [
            ['methods' => [['of' => 'SKV-61-21', 'method' => 'm', 'steps' => [['kind' => 'count', 'title' => 't']]]]],
            'methods.0.steps.0.spec',
        ];
        yield 'a step with what its kind has not' => [
            ['methods' => [[
                'of' => 'SKV-61-21', 'method' => 'm',
                'steps' => [
                    [
                        'kind' => 'hold', 'title' => 't',
                        'spec' => ['hold' => ['seconds' => 5, 'what' => 'x'], 'colour' => 'red'],
                    ],
                ],
            ]]],
            'methods.0.steps.0.spec.colour',
        ];
    }

    /** @param array<string, mixed> $spoilt */
    #[DataProvider('badFiles')]
    public function test_a_bad_revision_is_refused_by_its_place(array $spoilt, string $place): void
    {
        $file = [
            ...['manual' => 'AM-SKV', 'revision' => 13, 'issued' => '2026-05-04', 'summary' => 's', 'passages' => []],
            ...$spoilt,
        ];
        $lines = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'revision', 'name' => 'x.json', 'text' => json_encode($file),
        ])->assertStatus(422)->json('lines');
        self::assertSame($place, $lines[0]['line']);
    }

    public function test_questions_are_kept_with_their_answers_and_shown_on_the_card(): void
    {
        $card = $this->held();
        self::assertNull($this->as('ivo', 'GET', "cards/{$card->id}")->json('questions.0.answer'));
        $id = $this->as('ivo', 'POST', 'library/manuals/BM-TRK/questions', [
            'section' => '76-22', 'text' => 'Cool down between the two?',
        ])->assertOk()->json('questions.0.id');
        $this->as('ivo', 'POST', "library/questions/{$id}/answer", ['answer' => 'yes'])->assertStatus(403);
        $this->as('wenna', 'POST', "library/questions/{$id}/answer", [
            'answer' => 'Only after the second.', 'reference' => 'desk answer TRK-0044',
        ])->assertOk();
        $this->as('wenna', 'POST', "library/questions/{$id}/answer", ['answer' => 'No.'])->assertStatus(422);
        self::assertContains(
            'Only after the second.',
            array_column($this->as('ivo', 'GET', "cards/{$card->id}")->json('questions'), 'answer'),
        );
    }

    /** @param array<string, mixed> $more */
    private function bring(int $revision, string $section, string $text, array $more = []): void
    {
        $look = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'revision', 'name' => "rev{$revision}.json", 'text' => json_encode([
                'manual' => 'TM-OLN', 'revision' => $revision, 'issued' => '2026-05-05', 'summary' => 'x',
                'passages' => [['section' => $section, 'title' => 'T', 'text' => $text]], ...$more,
            ]),
        ])->assertOk()->json();
        $this->as('ines', 'POST', "library/imports/{$look['id']}/apply")->assertOk();
    }

    /** @return list<string> codes of the templates of TM-OLN that are to be re-read */
    private function marked(): array
    {
        $templates = $this->as('ines', 'GET', 'library/manuals/TM-OLN')->assertOk()->json('templates');

        return array_column(array_filter($templates, static fn(array $t): bool => $t['marked']), 'code');
    }

    public function test_another_sections_change_stops_nothing_and_closed_work_stands_by_what_was_in_force(): void
    {
        $flaps = Card::where('title', 'Flap travel timing')->where('state', Card::IN_WORK)->firstOrFail();
        $held = fn(): mixed => $this->as('stig', 'GET', "cards/{$flaps->id}")->json('held');
        $this->bring(6, '32-31', 'Pump evenly. Never stand under a door.');
        self::assertSame(['OLN-32-31'], $this->marked());
        self::assertNull($held());
        // Revisions of other sections come one after another, and it still stands; then comes one of its own.
        $this->bring(7, '78-31', 'Lock it.');
        self::assertNull($held());
        self::assertSame(['OLN-32-31', 'OLN-78-31'], $this->marked(), 'what was to be re-read is so still');
        $this->bring(8, '27', 'Flight controls: all surfaces clear.');
        self::assertStringContainsString('TM-OLN is at revision 8', (string) $held());
        self::assertContains('OLN-27-51', $this->marked());
        $codes = function () use ($flaps): array {
            $blockers = $this->as('tor', 'GET', "release/{$flaps->visit_id}")->json('blockers');
            $of = array_filter(
                $blockers,
                static fn(array $b): bool => str_starts_with($b['link'], "/floor/{$flaps->id}"),
            );

            return array_merge(...array_column($of, 'codes') ?: [[]]);
        };
        self::assertContains('revision_stale', $codes());
        $flaps->update(['state' => Card::CLOSED]);
        self::assertNotContains('revision_stale', $codes());
    }

    public function test_a_warning_that_went_is_acknowledged_and_figures_that_a_step_contradicts_are_named(): void
    {
        $this->bring(
            6,
            '27-51',
            'Never run the flaps with a door open. Play at most 0.4 mm. Flaps run in 9 to 14 seconds.',
        );
        $this->as('ines', 'POST', 'library/manuals/TM-OLN/reread', [
            'templates' => CardTemplate::where('code', 'OLN-27-51')->pluck('id')->all(), 'note' => 'read',
        ])->assertOk();
        $this->bring(7, '27-51', 'Play at most 0.3 mm. Flaps run in 9 to 13 seconds.');
        $template = CardTemplate::where('code', 'OLN-27-51')->firstOrFail();
        $shown = array_column(
            $this->as('ines', 'GET', 'library/manuals/TM-OLN')->json('templates'),
            null,
            'code',
        )['OLN-27-51'];
        self::assertSame(['Never run the flaps with a door open.'], $shown['lost']);
        self::assertStringContainsString('still says 14', implode(' ', $shown['contradicts']));
        $read = ['outcome' => 'stands', 'note' => 'read'];
        $said = $this->as('ines', 'POST', "library/templates/{$template->id}/reread", $read)
            ->assertStatus(422)->json('message');
        self::assertStringContainsString('Never run the flaps with a door open.', $said);
        $this->as('ines', 'POST', 'library/manuals/TM-OLN/reread', ['templates' => [$template->id], 'note' => 'read'])
            ->assertStatus(422);
        $cards = Card::where('template_id', $template->id)->whereIn('state', [Card::OPEN, Card::IN_WORK])
            ->pluck('version', 'id');
        $this->as('ines', 'POST', 'library/manuals/TM-OLN/reread', [
            'templates' => [$template->id], 'cards' => $cards->all(), 'note' => 'with the desk',
            'seen' => $shown['lost'],
        ])->assertOk();
        self::assertSame([], $this->marked());
        self::assertSame([7], Card::whereIn('id', $cards->keys())->pluck('revision')->unique()->values()->all());
    }
}
