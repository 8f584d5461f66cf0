<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Crew\Model\RotaDay;
use App\Crew\Model\WaitingAuthority;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Model\ListedRevision;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\AircraftType;
use App\Fleet\Model\Base;
use App\Fleet\Model\Component;
use App\Fleet\Model\Fleet;
use App\Floor\Do\TakeReading;
use App\Floor\Do\WhatFollows;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Damage;
use App\Floor\Model\DamageLook;
use App\Floor\Model\Exceedance;
use App\Floor\Model\Finding;
use App\Floor\Model\FollowUp;
use App\Floor\Model\LineValidity;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Library\Do\FigureFile;
use App\Library\Do\ProgrammeFile;
use App\Library\Model\CardTemplate;
use App\Library\Model\Figure;
use App\Library\Model\FollowRule;
use App\Library\Model\Lesson;
use App\Library\Model\Manual;
use App\Library\Model\ManualRevision;
use App\Library\Model\ProgrammeItem;
use App\Library\Model\Question;
use App\Release\Do\FreezeCertificate;
use App\Release\Model\Certificate;
use App\Shared\Clock;
use App\Shared\Records;
use App\Stores\Do\Recalls;
use App\Stores\Model\MoveKind;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolCheckEntry;
use App\Visits\Do\CreateVisit;
use App\Visits\Do\NewVisit;
use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitDay;
use App\Visits\Model\VisitPlan;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Jorvel\Core\Bench\Limit;
use Jorvel\Core\Floor\Recent;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** Loads the demo world from the readable files in database/demo; the same at every load. */
final readonly class World
{
    /** The demo people's password; their PINs stand in people.json. */
    public const PASSWORD = 'hangar-demo';

    public function __construct(
        private Clock $clock,
        private Records $records,
        private CreateVisit $createVisit,
        private VisitStory $visitStory,
        private FloorStory $floorStory,
        private DeferralStory $deferralStory,
        private BenchStory $benchStory,
        private RigStory $rigStory,
        private Recalls $recalls,
        private FreezeCertificate $freeze,
        private WhatFollows $whatFollows,
    ) {}

    public function load(): void
    {
        DB::transaction(function (): void {
            $now = Instant::parse((string) config('jorvel.demo_now'));
            $this->clock->still($now, function (): void {
                $this->library();
                $this->people();
                $this->figures();
                $this->aircraft();
                $this->tools();
                $this->checks();
                $this->story();
                $this->line();
                $this->follows();
            });
            $this->clock->start($now);
            $this->records->write(
                null,
                'demo.loaded',
                'world:vantry',
                ['aircraft' => Aircraft::count(), 'people' => Person::count()],
            );
        });
    }

    private function library(): void
    {
        $world = self::json('world.json');
        foreach ($world['bases'] as $base) {
            Base::create($base);
        }
        foreach ($world['types'] as $type) {
            AircraftType::create([...$type, 'outline' => self::json("outlines/{$type['code']}.json")]);
        }
        foreach ($world['fleets'] as $fleet) {
            Fleet::create($fleet);
        }
        $types = AircraftType::pluck('id', 'code');
        foreach ($world['manuals'] as $manual) {
            Manual::create([
                'type_id' => $types[$manual['type']],
                'code' => $manual['code'],
                'title' => $manual['title'],
                'revision' => $manual['revision'],
            ]);
        }
        $manuals = Manual::pluck('id', 'code');
        $this->revisions($manuals);
        foreach ($types as $code => $id) {
            foreach (self::json("cards/{$code}.json") as $card) {
                $manual = $card['manual'];
                unset($card['manual']);
                CardTemplate::create([...$card, 'type_id' => $id, 'manual_id' => $manuals[$manual]]);
            }
            ProgrammeFile::read((string) file_get_contents(self::path("programme/{$code}.json")))->save();
        }
        self::insert(
            'places',
            self::csv('places.csv'),
            static fn(array $r): array => [...array_diff_key($r, ['type' => 0]), 'type_id' => $types[$r['type']]],
        );
        self::insert(
            'zones',
            self::csv('zones.csv'),
            static fn(array $r): array => [
                'type_id' => $types[$r['type']],
                'name' => $r['name'],
                'most' => (int) $r['most'],
            ],
        );
        self::insert(
            'panels',
            self::csv('panels.csv'),
            static fn(array $r): array => [...array_diff_key($r, ['type' => 0]), 'type_id' => $types[$r['type']]],
        );
        self::insert(
            'past_looks',
            self::csv('past_looks.csv'),
            static fn(array $r): array => [...array_diff_key($r, ['type' => 0]), 'type_id' => $types[$r['type']]],
        );
        self::insert('shifts', $world['shifts'], static fn(array $r): array => $r);
        foreach ($world['bays'] as $bay) {
            Bay::create($bay);
        }
        $bays = Bay::pluck('id', 'name');
        self::insert(
            'bay_slots',
            self::csv('bay_slots.csv'),
            static fn(array $r): array => [...array_diff_key($r, ['bay' => 0]), 'bay_id' => $bays[$r['bay']]],
        );
        foreach (glob(database_path('demo/listed').'/*.json') ?: [] as $path) {
            $list = self::json('listed/'.basename($path));
            ListedRevision::create([
                'type_id' => $types[$list['type']], 'revision' => $list['revision'], 'issued' => $list['issued'],
                'summary' => $list['summary'], 'at' => "{$list['issued']}T08:00:00Z",
            ]);
            foreach ($list['items'] as $item) {
                ListedItem::create(ListedItem::row($types[$list['type']], $item, $list['revision'], 1));
            }
        }
    }

    /** @param Collection<string, int> $manuals */
    private function revisions(Collection $manuals): void
    {
        $passages = [];
        foreach (self::json('revisions.json') as $r) {
            $revision = ManualRevision::create([
                'manual_id' => $manuals[$r['manual']],
                'revision' => $r['revision'],
                'issued' => $r['issued'],
                'summary' => $r['summary'],
                'methods' => $r['methods'] ?? [],
            ]);
            // What a revision does not name goes on as it was.
            $passages[$r['manual']] = [
                ...$passages[$r['manual']] ?? [],
                ...array_column($r['passages'], null, 'section'),
            ];
            foreach ($passages[$r['manual']] as $p) {
                $revision->passages()->create($p);
            }
        }
    }

    private function people(): void
    {
        // Quickly made hashes: the demo's passwords and PINs stand in the open anyway.
        $hash = static fn(string $text): string => Hash::make($text, ['rounds' => 4]);
        $password = $hash(self::PASSWORD);
        $over = $waiting = [];
        foreach (self::json('people.json') as $row) {
            $held = $row['held'];
            $over[$row['login']] = $row['supervisor'] ?? null;
            $waiting[$row['login']] = $row['waiting'] ?? [];
            unset($row['held'], $row['supervisor'], $row['waiting']);
            $person = Person::create([
                ...$row,
                'role' => Role::from($row['role']),
                'password' => $password,
                'pin' => $hash($row['pin']),
            ]);
            foreach ($held as $kind => $values) {
                foreach ($values as $value => $one) {
                    $person->qualifications()
                        ->create([
                            'kind' => $kind,
                            'value' => (string) $value,
                            'valid_until' => $one['until'],
                            'paper' => $one['paper'],
                        ]);
                }
            }
        }
        $ids = Person::pluck('id', 'login');
        foreach (array_filter($over) as $login => $supervisor) {
            Person::where('login', $login)->update(['supervisor_id' => $ids[$supervisor]]);
        }
        foreach ($waiting as $login => $authorities) {
            foreach ($authorities as $value => $one) {
                WaitingAuthority::create([
                    'person_id' => $ids[$login], 'value' => $value, 'valid_until' => $one['until'],
                    'paper' => $one['paper'], 'entered_by' => $ids[$one['by']], 'entered_at' => $one['at'],
                ]);
            }
        }
        foreach (self::csv('rota.csv') as $r) {
            $until = Day::parse($r['until']);
            for ($day = Day::parse($r['from']); $day->number <= $until->number; $day = $day->plusDays(1)) {
                RotaDay::create([
                    'person_id' => $ids[$r['login']],
                    'date' => (string) $day,
                    'shift' => $r['shift'] === '' ? null : $r['shift'],
                    'why' => $r['why'],
                ]);
            }
        }
        $manuals = Manual::pluck('id', 'code');
        foreach (self::json('questions.json') as $q) {
            Question::create([
                'manual_id' => $manuals[$q['manual']], 'section' => $q['section'], 'asked_by' => $ids[$q['by']],
                'asked_at' => $q['at'], 'text' => $q['text'],
                'answer' => $q['answer'] ?? null, 'reference' => $q['reference'] ?? null,
                'answered_at' => $q['answered'] ?? null,
                'answered_by' => isset($q['answered_by']) ? $ids[$q['answered_by']] : null,
            ]);
        }
    }

    private function aircraft(): void
    {
        $types = AircraftType::pluck('id', 'code');
        $fleets = Fleet::pluck('id', 'code');
        foreach (self::csv('aircraft.csv') as $row) {
            Aircraft::create([
                'mark' => $row['mark'], 'type_id' => $types[$row['type']], 'fleet_id' => $fleets[$row['fleet']],
                'base' => $row['base'],
                'entry_date' => $row['entry_date'], 'entry_counters' => ['fh' => 0.0, 'ldg' => 0.0],
                'counters' => [
                    'fh' => (float) $row['fh'],
                    'ldg' => (float) $row['ldg'],
                ], 'counters_as_of' => $row['as_of'],
                'rates' => ['fh' => (float) $row['rate_fh'], 'ldg' => (float) $row['rate_ldg']],
                'conditions' => json_decode($row['conditions'], true),
                'week' => $row['week'] === '' ? null : json_decode($row['week'], true),
                'effectivity' => $row['effectivity'],
            ]);
        }
        $this->components();
        $this->history();
    }

    private function components(): void
    {
        foreach (self::csv('components.csv') as $row) {
            Component::create([
                'kind' => $row['kind'], 'title' => $row['title'], 'part_no' => $row['part_no'],
                'serial' => $row['serial'], 'entry_date' => $row['entry_date'],
                'counters' => json_decode($row['counters'], true), 'accrues' => json_decode($row['accrues'], true),
                'gauge' => $row['gauge'] === '' ? null : json_decode($row['gauge'], true),
                'place' => $row['place'] === '' ? null : $row['place'],
            ]);
        }
        $components = Component::pluck('id', 'serial');
        $aircraft = Aircraft::pluck('id', 'mark');
        self::insert('tenures', self::csv('tenures.csv'), static fn(array $r): array => [
            'component_id' => $components[$r['serial']], 'aircraft_id' => $aircraft[$r['mark']],
            ...array_map(
                static fn(string $v): ?string => $v === '' ? null : $v,
                array_diff_key($r, ['serial' => 0, 'mark' => 0]),
            ),
        ]);
        $at = (string) $this->clock->now();
        self::insert('pressure_readings', self::csv('gauges.csv'), static fn(array $r): array => [
            'component_id' => $components[$r['serial']], 'date' => $r['date'], 'pressure' => (float) $r['pressure'],
            'temp_c' => (float) $r['temp_c'], 'replaced' => $r['replaced'] === 'yes', 'at' => $at,
        ]);
        self::insert('sectors', self::csv('sectors.csv'), fn(array $r): array => [
            'aircraft_id' => $aircraft[$r['mark']], 'date' => $r['date'], 'number' => $r['number'],
            'from_place' => $r['from'], 'to_place' => $r['to'],
            'departs_at' => (string) $this->clock->at(Day::parse($r['date']), $r['departs']),
            'arrives_at' => (string) $this->clock->at(Day::parse($r['date']), $r['arrives']),
            'conditions' => json_encode(array_values(array_filter(explode(' ', $r['conditions'])))),
            'use' => json_encode(['fh' => (float) $r['fh'], 'ldg' => (float) $r['ldg']]),
        ]);
    }

    /** What was done when, and what was flown, over the last eighteen months. */
    private function history(): void
    {
        $aircraft = Aircraft::all()->keyBy('mark');
        $items = ProgrammeItem::all()->mapWithKeys(
            static fn(ProgrammeItem $i): array => ["{$i->type_id}/{$i->code}" => $i->id],
        );
        $components = Component::pluck('id', 'serial');
        $done = static fn(array $r): array => [
            'aircraft_id' => $aircraft[$r['mark']]->id,
            'component_id' => $r['serial'] === '' ? null : $components[$r['serial']],
            'item_id' => $items["{$aircraft[$r['mark']]->type_id}/{$r['item']}"], 'date' => $r['date'],
            'counters' => json_encode((object) array_map(
                floatval(...),
                array_filter(
                    ['fh' => $r['fh'], 'ldg' => $r['ldg'], 'cyc' => $r['cyc']],
                    static fn(string $v): bool => $v !== '',
                ),
            )),
        ];
        self::insert('item_statuses', self::csv('statuses.csv'), static fn(array $r): array => [
            ...$done($r), 'aircraft_id' => $r['serial'] === '' ? $aircraft[$r['mark']]->id : null,
            'counted_to' => $r['date'], 'planned' => $r['planned'] === '' ? null : $r['planned'],
        ]);
        // Whoever signed for it then, the same at every load: two of the crew for each aircraft and day.
        $crew = Person::where('role', 'technician')->where('trainee', false)
            ->orderBy('id')
            ->get()
            ->map(static fn(Person $p): string => "{$p->name} ({$p->stamp})")
            ->all();
        $who = static fn(array $r): string => $crew[crc32(
            $r['mark'].$r['date'].substr($r['item'], 0, 1),
        ) % count($crew)];
        self::insert(
            'item_doings',
            self::csv('doings.csv'),
            static fn(array $r): array => [...$done($r), 'done_by' => $who($r)],
        );
        self::insert('flying_entries', self::csv('flying.csv'), static fn(array $r): array => [
            'aircraft_id' => $aircraft[$r['mark']]->id, 'date' => $r['date'], 'flown' => json_encode([
                'fh' => (float) $r['fh'],
                'ldg' => (float) $r['ldg'],
            ]),
        ]);
    }

    /**
     * Many rows at once.
     *
     * @param list<array<string, string>> $rows
     * @param callable(array<string, string>): array<string, mixed> $make
     */
    private static function insert(string $table, array $rows, callable $make): void
    {
        foreach (array_chunk($rows, 500) as $some) {
            DB::table($table)->insert(array_map($make, $some));
        }
    }

    private function tools(): void
    {
        foreach (self::csv('tools.csv') as $row) {
            Tool::create($row);
        }
        foreach (self::csv('parts.csv') as $row) {
            $part = Part::create([
                ...array_intersect_key($row, array_flip(['number', 'title', 'place'])),
                'one_time' => $row['one_time'] === 'yes',
                'effectivity' => $row['effectivity'] === '' ? null : explode(' ', $row['effectivity']),
                'specification' => $row['specification'] ?: null, 'unit' => $row['unit'] ?: null,
                'never' => $row['never'] === '' ? null : explode(' ', $row['never']),
            ]);
            if ($row['ordered'] !== '') {
                $part->orders()->create(['quantity' => (int) $row['ordered'], 'expected' => $row['expected']]);
            }
        }
    }

    private function checks(): void
    {
        $tools = Tool::pluck('id', 'code');
        $people = Person::pluck('id', 'login');
        self::insert(
            'tool_checks',
            self::csv('tool_checks.csv'),
            static fn(array $r): array => [
                'tool_id' => $tools[$r['code']],
                'date' => $r['date'],
                'good' => $r['good'] === 'yes',
                'note' => $r['note'],
                'person_id' => $people[$r['by']],
            ],
        );
        $parts = Part::pluck('id', 'number');
        self::insert(
            'part_batches',
            self::csv('part_batches.csv'),
            static fn(array $r): array => [
                'part_id' => $parts[$r['number']],
                'batch' => $r['batch'],
                'quantity' => (int) $r['quantity'],
                'expires' => $r['expires'] === '' ? null : $r['expires'],
            ],
        );
        $batches = PartBatch::pluck('id', 'batch');
        self::insert(
            'part_moves',
            self::csv('part_batches.csv'),
            static fn(array $r): array => [
                'batch_id' => $batches[$r['batch']],
                'kind' => MoveKind::In,
                'quantity' => (int) $r['quantity'],
                'left' => (int) $r['quantity'],
                'paper' => $r['paper'],
                'person_id' => $people['ines'],
                'at' => "{$r['received']}T08:00:00Z",
            ],
        );
        foreach (Tool::where('state', 'recalled')->get() as $tool) {
            $found = ToolCheckEntry::with('person')->where(['tool_id' => $tool->id, 'good' => false])
                ->orderByDesc('date')
                ->firstOrFail();
            $this->recalls->open($found->person, $tool, $found->date, $found->note);
        }
    }

    /** What was signed on the line these last days, and what went wrong at some cards once. */
    private function line(): void
    {
        $people = Person::pluck('id', 'login');
        $aircraft = Aircraft::with('type')->get()->keyBy('mark');
        foreach (self::csv('line.csv') as $row) {
            $craft = $aircraft[$row['mark']];
            $item = ProgrammeItem::where(['type_id' => $craft->type_id, 'code' => $row['code']])->firstOrFail();
            $day = substr($row['at'], 0, 10);
            $visit = Visit::create([
                'aircraft_id' => $craft->id, 'title' => $item->title, 'bay' => Visit::LINE, 'kind' => Visit::CHECK,
                'start' => $day, 'end' => $day, 'state' => Visit::RELEASED, 'released_at' => $row['at'],
            ]);
            LineValidity::create([
                'aircraft_id' => $craft->id, 'item_id' => $item->id, 'visit_id' => $visit->id,
                'until' => $row['until'], 'person_id' => $people[$row['by']], 'at' => $row['at'],
            ]);
        }
        foreach (self::json('damages.json') as $n => $d) {
            $this->damage($aircraft[$d['mark']], $n + 1, $d, $people->all());
        }
        foreach (self::json('lessons.json') as $l) {
            Lesson::create([
                'template_id' => CardTemplate::where('code', $l['card'])->valueOrFail('id'), 'text' => $l['text'],
                'proposed_by' => $people[$l['by']], 'proposed_at' => $l['at'],
                'state' => isset($l['accepted_by']) ? Lesson::ACCEPTED : Lesson::PROPOSED,
                'decided_by' => isset($l['accepted_by']) ? $people[$l['accepted_by']] : null,
                'decided_at' => $l['accepted_at'] ?? null,
            ]);
        }
    }

    /** Drawings of one's own, before any card is made that shows them. */
    private function figures(): void
    {
        $people = Person::with('qualifications')->get()->keyBy('login');
        foreach (self::json('figures.json') as $f) {
            $file = FigureFile::read((string) file_get_contents(self::path("figures/{$f['file']}")));
            Figure::create([
                'type_id' => AircraftType::where('code', $f['type'])->valueOrFail('id'), 'code' => $f['code'],
                'version' => 1, 'title' => $f['title'], 'mime' => $file->mime, 'width' => $file->width,
                'height' => $file->height, 'data' => base64_encode($file->bytes),
                'person_id' => $people[$f['by']]->id, 'at' => $f['at'],
            ]);
        }
    }

    /** Rules of what follows, in force and proposed, and limits that were exceeded these last months. */
    private function follows(): void
    {
        $people = Person::pluck('id', 'login');
        $of = self::json('follows.json');
        foreach ($of['rules'] as $r) {
            FollowRule::create([
                'type_id' => AircraftType::where('code', $r['type'])->valueOrFail('id'), 'code' => $r['rule']['code'],
                'version' => 1, 'body' => $r['rule'], 'proposed_by' => $people[$r['by']], 'proposed_at' => $r['at'],
                'state' => isset($r['decided_by']) ? FollowRule::IN_FORCE : FollowRule::PROPOSED,
                'decided_by' => isset($r['decided_by']) ? $people[$r['decided_by']] : null,
                'decided_at' => isset($r['decided_by']) ? $r['decided_at'] : null,
            ]);
        }
        foreach ($of['exceeded'] as $n => $e) {
            $rule = FollowRule::where('code', $e['rule'])->firstOrFail();
            $row = $rule->rule()->exceeded?->row($e['peak'], $e['seconds']);
            Exceedance::create([
                'number' => sprintf('E%04d', $n + 1), 'rule_id' => $rule->id, 'position' => $e['position'],
                'aircraft_id' => Aircraft::where('mark', $e['mark'])->valueOrFail('id'), 'peak' => $e['peak'],
                'seconds' => $e['seconds'], 'source' => $e['source'], 'person_id' => $people[$e['by']],
                'happened_at' => $e['happened'], 'at' => $e['at'], 'row' => $row->title ?? '',
                'note' => $e['note'] ?? '',
            ]);
        }
        foreach ($of['opened'] as $o) {
            $finding = Finding::with('card.aircraft.type', 'card.visit')->where('place', $o['place'])->firstOrFail();
            $this->whatFollows->from(Person::findOrFail($people[$o['by']]), $finding, $finding->card);
            foreach ($o['answers'] as $text => [$answer, $by, $at]) {
                FollowUp::where(['finding_id' => $finding->id, 'text' => $text])->update([
                    'state' => FollowUp::ANSWERED, 'answer' => $answer, 'person_id' => $people[$by], 'at' => $at,
                ]);
            }
        }
    }

    /**
     * @param array<string, mixed> $d
     * @param array<string, int> $people
     */
    private function damage(Aircraft $aircraft, int $n, array $d, array $people): void
    {
        $settled = isset($d['state']);
        $damage = Damage::create([
            'aircraft_id' => $aircraft->id, 'number' => sprintf('D%04d', $n), 'kind' => $d['kind'],
            'place' => $d['place'], 'spot' => $d['spot'], 'limits' => $d['limits'], 'source' => $d['source'],
            'every_fh' => $d['every_fh'] ?? null, 'every_days' => $d['every_days'] ?? null,
            'state' => $d['state'] ?? Damage::OPEN, 'settled_how' => $d['how'] ?? null,
            'settled_by' => $settled ? $people[$d['looks'][0]['by']] : null,
            'settled_at' => $settled ? "{$d['looks'][0]['date']}T15:00:00Z" : null,
        ]);
        foreach ($d['looks'] as $l) {
            DamageLook::create([
                ...array_intersect_key($l, array_flip(['date', 'length', 'depth', 'edge', 'fastener', 'note'])),
                'damage_id' => $damage->id, 'person_id' => $people[$l['by']], 'at' => "{$l['date']}T09:00:00Z",
                'fh' => round($aircraft->counters['fh'] - $l['ago'], 1),
            ]);
        }
    }

    private function story(): void
    {
        $story = self::json('story.json');
        $people = Person::with('qualifications')->get()->keyBy('login');
        $controller = $people['ines'];
        foreach ($story['visits'] as $v) {
            $visit = $this->visit($controller, $v['mark'], $v['title'], $v['bay'], $v['start'], $v['end'], $v['items']);
            if (isset($v['look_until'])) {
                VisitPlan::whereKey($visit->id)->update(['look_until' => $v['look_until']]);
            }
            if (isset($v['pace'])) {
                $this->visitStory->live(
                    $visit,
                    $controller,
                    $v['pace'],
                    array_map(static fn(array $f): array => array_pad($f, 6, []), $v['findings']),
                    $people,
                );
            }
            foreach ($v['assign'] as $code => $logins) {
                $card = VisitStory::card($visit, $code)->load('steps');
                foreach ($logins as $login) {
                    Assignment::create([
                        'card_id' => $card->id,
                        'person_id' => $people[$login]->id,
                        'role' => 'perform',
                    ]);
                }
                $done = $card->steps->take($v['work'][$code] ?? 0)->where('state', Step::OPEN)
                    ->each(fn(Step $s) => $this->finish($s, $people[$logins[0]], (string) $this->clock->now()));
                if ($done->isNotEmpty()) {
                    $card->update(['state' => Card::IN_WORK, 'begun_at' => (string) $this->clock->now()]);
                }
            }
            if ($v['start'] <= (string) $this->clock->today()) {
                $visit->update(['state' => Visit::IN_WORK]);
            }
        }
        foreach ($story['deferred'] as $n => $d) {
            $this->deferred($controller, $people[$d['by']], $n + 1, $d);
        }
        foreach ($story['past'] as $past) {
            $visit = $this->lived($controller, $people[$past['by']], $past['mark'], $past['item'], $past['at']);
            $this->readings($visit, $people[$past['by']], $past);
            if (isset($past['finding'])) {
                $this->foundBefore($visit, $people[$past['by']], $past['at'], $past['finding']);
            }
        }
        $this->floorStory->live(
            $this->visit(
                $controller,
                $story['line']['mark'],
                $story['line']['title'],
                $story['line']['bay'],
                $story['line']['start'],
                $story['line']['end'],
                $story['line']['items'],
            ),
            $story['line'],
            $people,
        );
        $this->floorStory->handOver($story['handover'], $people);
        $this->floorStory->toInspect($story['inspect'], $people);
        foreach (array_filter($story['deferred'], static fn(array $d): bool => isset($d['repeat'])) as $d) {
            $r = $d['repeat'];
            $before = $this->lived($controller, $people[$r['by']], $d['mark'], $r['item'], $r['at']);
            $this->foundBefore($before, $people[$r['by']], $r['at'], [
                ...$r, 'chapter' => $r['item'], 'place' => $d['place'],
            ]);
        }
        $this->papers();
        $this->deferralStory->reported($controller, self::csv('reports.csv'));
        $this->visitStory->plan(Visit::with('aircraft.type')->firstOrFail(), $controller);
        $this->benchStory->library(self::json('trees.json'), self::json('recorders.json'), $people);
        $this->benchStory->past(self::csv('past_tests.csv'), $people);
        $this->benchStory->walks(self::json('past_walks.json'), $people);
        $this->benchStory->morning($people);
        $this->benchStory->followed($people);
        $this->rigStory->past(self::json('past_riggings.json'), $people);
    }

    /**
     * Something found and fixed in a visit of the past, which has come again since.
     *
     * @param array<string, string> $f
     */
    private function foundBefore(Visit $visit, Person $by, string $at, array $f): void
    {
        $finding = Finding::create([
            'aircraft_id' => $visit->aircraft_id, 'card_id' => $visit->cards()->firstOrFail()->id,
            'raised_by' => $by->id, 'number' => $f['number'], 'chapter' => $f['chapter'],
            'place' => $f['place'], 'extent' => $f['extent'], 'state' => 'fixed', 'fixed_how' => $f['fixed'],
            'raised_at' => $at, 'settled_at' => $at,
        ]);
        Finding::where('aircraft_id', $visit->aircraft_id)->where('raised_at', '>', $at)
            ->get()
            ->filter(static fn(Finding $again): bool => Recent::samePlace($again->place, $f['place']))
            ->each(static fn(Finding $again) => $again->update(['repeat_of' => $finding->id]));
    }

    /**
     * The readings of a visit of the past, with the tools that took them.
     *
     * @param array<string, mixed> $past
     */
    private function readings(Visit $visit, Person $by, array $past): void
    {
        $tools = Tool::pluck('id', 'code');
        $card = $visit->cards()->with('steps')->firstOrFail();
        foreach ($past['readings'] as [$point, $value, $unit, $tool]) {
            $step = $card->steps->firstOrFail(
                static fn(Step $s): bool => ($s->spec['reading']['point'] ?? null) === $point,
            );
            $result = Limit::judge(
                Quantity::of((float) $value, Unit::parse($unit)),
                TakeReading::limit($step->spec['reading']),
                Day::parse(substr($past['at'], 0, 10)),
            );
            Reading::create([
                'step_id' => $step->id, 'card_id' => $card->id, 'tool_id' => $tools[$tool], 'person_id' => $by->id,
                'point' => $point, 'kind' => 'reading', 'run' => 1,
                'value' => $value, 'unit' => $unit, 'verdict' => $result->verdict->value, 'margin' => $result->margin,
                'reasons' => $result->reasons, 'at' => $past['at'], 'stands' => true,
            ]);
        }
    }

    /**
     * A visit of the past in which a defect was found and carried, released since.
     *
     * @param array<string, mixed> $d
     */
    private function deferred(Person $controller, Person $by, int $n, array $d): void
    {
        $visit = $this->lived($controller, $by, $d['mark'], $d['item'], $d['at']);
        $this->deferralStory->carried(
            $visit->load('aircraft.type'),
            $controller,
            $by,
            $visit->cards()->whereNotNull('inspected_by')->first()->inspector
                ?? Person::where('login', str_starts_with($d['mark'], 'Q-') ? 'wenna' : 'tor')->firstOrFail(),
            $n,
            self::countersOn($visit->aircraft, Day::parse(substr($d['at'], 0, 10))),
            $d,
        );
    }

    /** Certificates are numbered in the order in which they were signed, and say what was so then. */
    private function papers(): void
    {
        $numbers = [];
        foreach (Certificate::with('person')->orderBy('at')->get() as $certificate) {
            $year = substr((string) $certificate->at, 0, 4);
            $number = sprintf('JV-%s-%04d', $year, $numbers[$year] = ($numbers[$year] ?? 0) + 1);
            $visit = Visit::with(['aircraft.deferrals'])->findOrFail($certificate->visit_id);
            $day = $certificate->at->dayIn($this->clock->zone());
            $visit->aircraft->fill([
                'counters' => self::countersOn($visit->aircraft, $day),
                'counters_as_of' => (string) $day->plusDays(-1),
            ]);
            $visit->aircraft->setRelation(
                'deferrals',
                $visit->aircraft->deferrals->filter(
                    static fn(Deferral $d): bool => $d->discovered_at <= $certificate->at,
                ),
            );
            $this->clock->still($certificate->at, function () use ($certificate, $number, $visit): void {
                $certificate->update([
                    'number' => $number,
                    'said' => ($this->freeze)($number, $visit, $certificate->person, collect(), $certificate->at),
                ]);
            });
        }
    }

    /** @return array<string, float> an aircraft's counters on an earlier day, by its mean use */
    private static function countersOn(Aircraft $aircraft, Day $day): array
    {
        $days = max(0, $day->daysUntil($aircraft->counters_as_of));
        $at = [];
        foreach ($aircraft->counters as $name => $value) {
            $at[$name] = round($value - $days * $aircraft->rates[$name], $name === 'fh' ? 1 : 0);
        }

        return $at;
    }

    /** A visit of the past for one item, worked by one person and released the same hour. */
    private function lived(Person $controller, Person $by, string $mark, string $item, string $at): Visit
    {
        $date = substr($at, 0, 10);
        $visit = $this->visit($controller, $mark, 'Line work', 'line', $date, $date, [$item]);
        $certifier = Person::where('login', str_starts_with($mark, 'Q-') ? 'wenna' : 'tor')->firstOrFail();
        foreach ($visit->cards()->with('steps')->get() as $each) {
            $each->steps->each(fn(Step $s) => $this->finish($s, $s->kind === 'inspection' ? $certifier : $by, $at));
            $each->update([
                'state' => Card::CLOSED,
                'signed_by' => $by->id,
                'signed_at' => $at,
                'closed_at' => $at,
                'spent' => $each->hours,
                'inspected_by' => $each->independent_inspection ? $certifier->id : null,
                'inspected_at' => $each->independent_inspection ? $at : null,
            ]);
        }
        Certificate::create([
            'visit_id' => $visit->id,
            'person_id' => $certifier->id,
            'number' => "lived {$visit->id}",
            'at' => $at,
            'moved' => [],
        ]);
        $visit->update(['state' => Visit::RELEASED, 'released_at' => $at]);
        VisitPlan::whereKey($visit->id)->delete();
        VisitDay::where('visit_id', $visit->id)->delete();

        return $visit;
    }

    /** @param list<string> $codes */
    private function visit(
        Person $by,
        string $mark,
        string $title,
        string $bay,
        string $start,
        string $end,
        array $codes,
    ): Visit {
        $aircraft = Aircraft::where('mark', $mark)->firstOrFail();
        $ids = ProgrammeItem::where('type_id', $aircraft->type_id)->whereIn('code', $codes)
            ->orderBy('code')
            ->pluck('id')
            ->map(strval(...))
            ->all();

        $from = Day::parse($start);

        return ($this->createVisit)($by, new NewVisit(
            $mark,
            $title,
            $bay,
            $from,
            Day::parse($end),
            array_values($ids),
            $from,
        ));
    }

    private function finish(Step $step, Person $by, string $at): void
    {
        $step->update(['state' => Step::DONE, 'done_by' => $by->id, 'done_at' => $at, 'result' => []]);
    }

    private static function path(string $file): string
    {
        return database_path("demo/{$file}");
    }

    /** @return array<array-key, mixed> */
    private static function json(string $file): array
    {
        return json_decode((string) file_get_contents(self::path($file)), true, 512, JSON_THROW_ON_ERROR);
    }

    /** @return list<array<string, string>> */
    private static function csv(string $file): array
    {
        $stream = fopen(self::path($file), 'rb');
        assert($stream !== false);
        $head = fgetcsv($stream, null, ',', '"', '');
        $rows = [];
        while ($head !== false && ($cells = fgetcsv($stream, null, ',', '"', '')) !== false) {
            $rows[] = array_combine(array_map(strval(...), $head), array_map(strval(...), $cells));
        }
        fclose($stream);

        return $rows;
    }
}
