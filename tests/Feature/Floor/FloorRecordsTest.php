<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Library\Model\Manual;
use App\Library\Show\ShowRevisions;
use App\Shared\Records;
use App\Stores\Model\ToolLoan;
use App\Stores\Model\ToolRecall;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/**
 * Everything done on the floor, in the crew, the library and the store stands in the record, by name, and the chain
 * holds.
 */
final class FloorRecordsTest extends WorldCase
{
    private static function gear(): Card
    {
        return Card::where('title', 'Gear extension by hand pump')->whereNot('state', Card::CLOSED)->firstOrFail();
    }

    /**
     * @return iterable<string, array{
     *   callable(self): array{string, string, string, array<string, mixed>}, string, string, list<string>,
     * }>
     *   who and what, the record, by whom, what it holds
     */
    public static function doings(): iterable
    {
        $gear = static fn(): string => 'cards/'.self::gear()->id;
        yield 'handed over' => [
            static fn(): array
                => ['oda', 'POST', "{$gear()}/hand-over", ['version' => self::gear()->version, 'said' => 'half done']],
            'card.handed_over', 'Oda Fenn (T27)', ['number', 'state', 'said'],
        ];
        yield 'called clear' => [
            static fn(self $t): array => ['ines', 'POST', "{$gear()}/clear", ['person' => $t->person('oda')->id]],
            'person.clear', 'Ines Maro (C01)', ['person', 'since'],
        ];
        yield 'rags out' => [
            static fn(): array => ['oda', 'POST', "{$gear()}/loans", ['what' => 'rags', 'quantity' => 3]], 'tool.out',
            'Oda Fenn (T27)', ['what', 'quantity'],
        ];
        yield 'a tool in' => [
            static fn(): array
                => ['ines', 'POST', 'loans/'.ToolLoan::whereNotNull('tool_id')->value('id').'/in', ['counted' => 1]],
            'tool.in', 'Ines Maro (C01)', ['what', 'quantity'],
        ];
        yield 'a place called clear' => [
            static fn(): array => [
                'oda', 'POST', "{$gear()}/steps/6",
                ['version' => self::gear()->version, 'do' => 'call', 'entry' => 'nose', 'note' => 'Noor Hadley'],
            ],
            'step.called_clear', 'Oda Fenn (T27)', ['step', 'place', 'name', 'stamp'],
        ];
        yield 'a finding' => [
            static fn(): array
                => ['oda', 'POST', "{$gear()}/findings", ['place' => 'p', 'extent' => 'e', 'severity' => 'critical']],
            'finding.raised', 'Oda Fenn (T27)', ['number', 'card', 'place', 'extent', 'severity', 'repeat_of'],
        ];
        yield 'a template read again' => [
            static fn(): array => [
                'tor', 'POST',
                'library/templates/'.CardTemplate::where('code', 'TRK-76-22')->value('id').'/reread',
                ['outcome' => 'stands', 'note' => 'read', 'seen' => ShowRevisions::lost(
                    Manual::with('revisions.passages')->where('code', 'BM-TRK')->firstOrFail(),
                    CardTemplate::where('code', 'TRK-76-22')->firstOrFail(),
                )],
            ],
            'template.reread', 'Tor Aldis (X02)', ['code', 'from', 'to', 'outcome', 'note', 'fleets', 'warnings gone'],
        ];
        yield 'a question' => [
            static fn(): array
                => ['oda', 'POST', 'library/manuals/TM-OLN/questions', ['section' => '27-51', 'text' => 'why']],
            'question.asked', 'Oda Fenn (T27)', ['manual', 'section', 'text'],
        ];
        yield 'an answer' => [
            static fn(): array => [
                'tor', 'POST',
                'library/questions/'.DB::table('questions')->whereNull('answer')->value('id').'/answer',
                ['answer' => 'the higher one'],
            ],
            'question.answered', 'Tor Aldis (X02)', ['answer', 'reference'],
        ];
        yield 'a tool checked' => [
            static fn(): array => [
                'tor', 'POST', 'tools/TW-104/checks',
                ['date' => '2026-05-05', 'good' => true, 'note' => 'n', 'cal_due' => '2027-01-01'],
            ],
            'tool.checked', 'Tor Aldis (X02)', ['tool', 'date', 'note'],
        ];
        yield 'a tool recalled' => [
            static fn(): array
                => ['tor', 'POST', 'tools/TW-104/checks', ['date' => '2026-05-05', 'good' => false, 'note' => 'n']],
            'tool.recalled', 'Tor Aldis (X02)', ['tool', 'date', 'note'],
        ];
        yield 're-checks' => [
            static fn(): array => ['tor', 'POST', 'recalls/'.ToolRecall::value('id').'/rechecks', ['places' => array_map(
                static fn(string $mark): array => [
                    'mark' => $mark, 'visit' => null, 'start' => '2026-05-05', 'end' => '2026-05-06',
                ],
                ['QA-VFE', 'QA-VFF'],
            )]],
            'recheck.opened', 'Tor Aldis (X02)', ['number', 'tool', 'for'],
        ];
        yield 'leave' => [
            static fn(self $t): array => [
                'ines', 'POST', "crew/{$t->person('oda')->id}/days",
                ['from' => '2026-05-20', 'until' => '2026-05-21', 'do' => 'away', 'why' => 'leave'],
            ],
            'person.days_set', 'Ines Maro (C01)', ['from', 'until', 'shift', 'why'],
        ];
        yield 'somebody entered' => [
            static fn(): array => [
                'ines', 'POST', 'people',
                [
                    'login' => 'petra', 'name' => 'Petra Lund', 'stamp' => 'T90', 'role' => 'technician',
                    'base' => 'Skarnholm', 'shift' => 'early', 'weekdays' => [1], 'trainee' => false,
                    'password' => 'given-by-ines', 'pin' => '7305',
                ],
            ],
            'person.entered', 'Ines Maro (C01)',
            ['login', 'name', 'stamp', 'role', 'base', 'shift', 'weekdays', 'trainee', 'supervisor_id', 'leaves'],
        ];
        yield 'somebody changed' => [
            static fn(self $t): array => [
                'ines', 'POST', "people/{$t->person('mika')->id}",
                [
                    'version' => 0, 'name' => 'Mika Renamed', 'stamp' => 'V01', 'role' => 'viewer',
                    'base' => 'Skarnholm', 'shift' => $t->person('mika')->shift,
                    'weekdays' => $t->person('mika')->weekdays, 'trainee' => false,
                ],
            ],
            'person.changed', 'Ines Maro (C01)', ['from', 'to'],
        ];
        yield 'something held' => [
            static fn(self $t): array => [
                'ines', 'POST', "people/{$t->person('oda')->id}/qualifications",
                ['version' => 0, 'do' => 'grant', 'kind' => 'skill', 'value' => 'avionics', 'paper' => 'p'],
            ],
            'person.granted', 'Ines Maro (C01)', ['kind', 'value', 'until', 'paper'],
        ];
        yield 'something renewed' => [
            static fn(self $t): array => [
                'ines', 'POST', "people/{$t->person('oda')->id}/qualifications",
                ['version' => 0, 'do' => 'grant', 'kind' => 'skill', 'value' => 'engine', 'paper' => 'p'],
            ],
            'person.renewed', 'Ines Maro (C01)', ['kind', 'value', 'until', 'paper', 'was'],
        ];
        yield 'something withdrawn' => [
            static fn(self $t): array => [
                'ines', 'POST', "people/{$t->person('oda')->id}/qualifications",
                ['version' => 0, 'do' => 'withdraw', 'kind' => 'skill', 'value' => 'engine', 'paper' => 'p'],
            ],
            'person.withdrawn', 'Ines Maro (C01)', ['kind', 'value', 'why'],
        ];
        yield 'secrets given' => [
            static fn(self $t): array
                => [
                    'ines', 'POST', "people/{$t->person('oda')->id}/secrets",
                    ['password' => 'given-by-ines', 'pin' => '7305'],
                ],
            'person.secrets_given', 'Ines Maro (C01)', [],
        ];
        yield 'secrets chosen' => [
            static fn(): array => ['oda', 'POST', 'me/secrets', ['now' => 'hangar-demo', 'pin' => '7305']],
            'person.secrets_chosen', 'Oda Fenn (T27)', ['password', 'pin'],
        ];
        yield 'goods' => [
            static fn(): array
                => ['ines', 'POST', 'parts/JV-3242-11/goods', ['batch' => 'N', 'quantity' => 1, 'paper' => 'p']],
            'part.moved', 'Ines Maro (C01)', ['batch', 'kind', 'quantity', 'left', 'paper'],
        ];
        yield 'a part number' => [
            static fn(): array => [
                'ines', 'POST', 'parts',
                ['number' => 'JV-1', 'title' => 't', 'place' => 'p', 'one_time' => false, 'effectivity' => null],
            ],
            'part.entered', 'Ines Maro (C01)',
            ['number', 'title', 'place', 'one_time', 'effectivity', 'specification', 'unit', 'never'],
        ];
        yield 'a part changed' => [
            static fn(): array
                => [
                    'ines', 'POST', 'parts/JV-3242-11',
                    ['title' => 't', 'place' => 'p', 'one_time' => false, 'effectivity' => null],
                ],
            'part.changed', 'Ines Maro (C01)', ['from', 'to'],
        ];
        yield 'an order' => [
            static fn(): array
                => ['ines', 'POST', 'parts/JV-3242-11/orders', ['quantity' => 1, 'expected' => '2026-06-01']],
            'part.ordered', 'Ines Maro (C01)', ['quantity', 'expected'],
        ];
        yield 'an order cancelled' => [
            static fn(): array => ['ines', 'POST', 'part-orders/'.DB::table('part_orders')->value('id').'/cancel', []],
            'part.order_cancelled', 'Ines Maro (C01)', ['quantity', 'expected'],
        ];
        yield 'a tool entered' => [
            static fn(): array => [
                'tor', 'POST', 'tools',
                [
                    'code' => 'DG-90', 'title' => 't', 'kind' => 'k', 'unit' => 'mm', 'resolution' => 0.01,
                    'uncertainty' => 0.01, 'low' => 0, 'high' => 1, 'place' => 'p', 'checked' => '2026-05-05',
                    'cal_due' => '2027-05-05', 'paper' => 'c',
                ],
            ],
            'tool.entered', 'Tor Aldis (X02)',
            [
                'code', 'title', 'kind', 'unit', 'resolution', 'uncertainty', 'low', 'high', 'place', 'checked',
                'cal_due', 'paper',
            ],
        ];
        yield 'a tool sent away' => [
            static fn(): array => ['tor', 'POST', 'tools/FG-11/state', ['do' => 'away', 'why' => 'w']],
            'tool.sent_away', 'Tor Aldis (X02)', ['tool', 'was', 'why'],
        ];
        yield 'a tool out of use' => [
            static fn(): array => ['tor', 'POST', 'tools/FG-11/state', ['do' => 'gone', 'why' => 'w']],
            'tool.out_of_use', 'Tor Aldis (X02)', ['tool', 'was', 'why'],
        ];
        yield 'a crew' => [
            static fn(): array => [
                'ines', 'POST', 'crew/shift',
                ['base' => 'Skarnholm', 'date' => '2026-05-05', 'shift' => 'late', 'version' => 0, 'places' => []],
            ],
            'crew.kept', 'Ines Maro (C01)', ['base', 'date', 'shift', 'places'],
        ];
    }

    /**
     * @param callable(self): array{string, string, string, array<string, mixed>} $do
     * @param list<string> $holds
     */
    #[DataProvider('doings')]
    public function test_what_is_done_is_recorded_by_name_and_the_chain_holds(
        callable $do,
        string $what,
        string $who,
        array $holds,
    ): void {
        $before = (int) DB::table('records')->max('id');
        $this->as(...$do($this))->assertSuccessful();
        $record = DB::table('records')->where('id', '>', $before)->where('what', $what)->orderBy('id')->first();
        self::assertNotNull($record, $what);
        self::assertSame($who, $record->who);
        self::assertEqualsCanonicalizing($holds, array_keys(json_decode($record->data, true)));
        self::assertNull(app(Records::class)->verify()['broken']);
    }

    /**
     * @return iterable<string, array{callable(self): array{string, string, string, array<string, mixed>}, string}> all
     *   that carries a key; choosing the same PIN again changes nothing
     */
    public static function keyed(): iterable
    {
        foreach (self::doings() as $name => [$do, $what]) {
            if ($name !== 'secrets chosen') {
                yield $name => [$do, $what];
            }
        }
    }

    /** @param callable(self): array{string, string, string, array<string, mixed>} $do */
    #[DataProvider('keyed')]
    public function test_the_same_request_sent_twice_is_carried_out_once(callable $do, string $what): void
    {
        [$login, $method, $path, $body] = $do($this);
        $first = $this->as($login, $method, $path, $body, 'one intention')->assertSuccessful();
        $records = fn(): int => DB::table('records')->count();
        $before = $records();
        $again = $this->as($login, $method, $path, $body, 'one intention')->assertSuccessful();
        self::assertSame([$before, $first->getContent()], [$records(), $again->getContent()], $what);
        self::assertSame('true', $again->headers->get('Idempotent-Replay'));
    }

    public function test_what_is_refused_leaves_no_record(): void
    {
        $before = DB::table('records')->count();
        $gear = self::gear();
        foreach ([
            ['steps/8', ['do' => 'count', 'entry' => '50']], ['steps/3', ['do' => 'take_back', 'note' => '']],
            ['steps/9', ['do' => 'compare']], ['hand-over', ['said' => '']],
            ['loans', ['what' => 'rags', 'quantity' => 0]],
        ] as [$path, $body]) {
            $this->as('oda', 'POST', "cards/{$gear->id}/{$path}", [
                'version' => $gear->version, ...$body,
            ])->assertStatus(422);
        }
        self::assertSame([$before, $gear->version], [DB::table('records')->count(), $gear->refresh()->version]);
    }
}
