<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\AircraftType;
use App\Fleet\Model\Base;
use App\Fleet\Model\Component;
use App\Fleet\Model\Fleet;
use App\Library\Model\CardTemplate;
use App\Library\Model\Manual;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Shared\Records;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Jorvel\Core\Fleet\FlyingSimulator;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A world for load and speed, from a seed: so many aircraft of four types, each with so many items, on itself and on
 * its two engines, and years of flying. The same seed gives the same world.
 */
final class LargeWorld
{
    private const TYPES = 4;

    private const ON_ENGINES = 10;

    private Randomizer $random;

    private FlyingSimulator $programme;

    public function __construct(private readonly Clock $clock, private readonly Records $records) {}

    /** @param callable(string): void $say told what has been made */
    public function load(int $seed, int $aircraft, int $items, int $years, callable $say): void
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->programme = FlyingSimulator::seeded($seed);
        DB::transaction(function () use ($seed, $aircraft, $items, $years, $say): void {
            $this->clock->start(Instant::parse((string) config('jorvel.demo_now')));
            $this->places();
            $this->people();
            $this->library($items);
            $say(self::TYPES.' types');
            $this->fleet($aircraft, $years, $say);
            $this->records->write(
                null,
                'demo.loaded',
                'world:large',
                ['seed' => $seed, 'aircraft' => $aircraft, 'items' => $items, 'years' => $years],
            );
        });
    }

    /** Bases, and the shifts that people work there. */
    private function places(): void
    {
        foreach ([
            'Skarnholm' => [],
            'Port Ellery' => ['salt'],
            'Halvik' => ['gravel'],
            'Norrand' => ['sand'],
        ] as $name => $conditions) {
            Base::create(['name' => $name, 'conditions' => $conditions]);
        }
        $world = json_decode((string) file_get_contents(database_path('demo/world.json')), true);
        DB::table('shifts')->insert($world['shifts']);
    }

    private function people(): void
    {
        $password = Hash::make(World::PASSWORD);
        foreach (json_decode((string) file_get_contents(database_path('demo/people.json')), true) as $row) {
            unset($row['held'], $row['supervisor'], $row['waiting']);
            Person::create([...$row, 'role' => Role::from($row['role']), 'password' => $password]);
        }
    }

    private function library(int $items): void
    {
        for ($f = 1; $f <= 8; $f++) {
            Fleet::create(['code' => "f{$f}", 'name' => "Fleet {$f}", 'task' => null]);
        }
        for ($t = 1; $t <= self::TYPES; $t++) {
            $type = AircraftType::create([
                'code' => "L{$t}",
                'name' => "Large type {$t}",
                'arrangement' => 'phases, blocks and calendar jobs',
                'phase' => ['unit' => 'fh', 'interval' => 300, 'most' => 60],
            ]);
            $manual = Manual::create([
                'type_id' => $type->id,
                'code' => "LM-{$t}",
                'title' => "Manual {$t}",
                'revision' => 1,
            ]);
            $card = CardTemplate::create([
                'type_id' => $type->id,
                'manual_id' => $manual->id,
                'code' => "L{$t}-CARD",
                'title' => 'Work',
                'chapter' => '05',
                'revision' => 1,
                'skill' => 'airframe',
                'hours' => 2,
                'zone' => 'whole aircraft',
                'independent_inspection' => false,
                'steps' => [['kind' => 'instruction', 'title' => 'Carry out as the manual says', 'text' => '']],
            ]);
            $rows = [];
            for ($i = 1; $i <= $items - self::ON_ENGINES; $i++) {
                $rows[] = $this->item($type->id, $card->id, $i, $i <= self::ON_ENGINES);
            }
            foreach (array_chunk($rows, 100) as $some) {
                DB::table('programme_items')->insert($some);
            }
        }
    }

    /** @return array<string, mixed> */
    private function item(int $type, int $card, int $i, bool $engine): array
    {
        $limit = static fn(string $unit, int $interval): array => [
            'unit' => $unit,
            'interval' => $interval,
            'tolerance' => $unit === 'months' ? ['abs' => 15] : ['pct' => 5, 'cap' => 40],
            'early' => ['pct' => 10],
        ];
        $hours = $limit('fh', $this->random->getInt(3, 30) * 100);
        $limits = match (true) {
            $engine => [$hours, $limit('cyc', $this->random->getInt(8, 40) * 100)],
            $i % 3 === 0 => [$hours],
            $i % 3 === 1 => [$limit('months', $this->random->getInt(3, 60))],
            default => [$hours, $limit('months', $this->random->getInt(6, 36))],
        };
        $chapter = (string) $this->random->getInt(11, 79);

        return [
            'type_id' => $type, 'template_id' => $card, 'code' => sprintf('%s-%03d', $chapter, $i),
            'title' => "Work {$i}", 'chapter' => $chapter, 'rule' => 'first',
            'rebase' => $i % 4 === 0 ? 'actual' : 'planned',
            'limits' => json_encode($limits), 'component' => $engine ? 'engine' : null,
            'phase' => ! $engine && $i === self::ON_ENGINES + 2, 'includes' => '[]',
            'harsh' => $i % 10 === 0 ? '{"salt":0.67,"gravel":0.8,"sand":0.8}' : null,
            'hours' => $this->random->getInt(1, 20), 'access' => '[]', 'configuration' => null,
        ];
    }

    /** @param callable(string): void $say */
    private function fleet(int $many, int $years, callable $say): void
    {
        $today = $this->clock->today();
        $bases = Base::orderBy('name')->pluck('name')->all();
        $items = ProgrammeItem::orderBy('id')->get()->groupBy('type_id');
        for ($n = 1; $n <= $many; $n++) {
            $rates = ['fh' => $this->random->getInt(10, 70) / 10, 'ldg' => $this->random->getInt(10, 50) / 10];
            $start = $today->plusDays(-1 - 365 * $years);
            $craft = new Aircraft([
                'mark' => sprintf('QL-%03d', $n),
                'type_id' => ($n - 1) % self::TYPES + 1,
                'fleet_id' => ($n - 1) % 8 + 1,
                'base' => $bases[$n % 4],
                'entry_date' => (string) $start->plusDays(-2000),
                'rates' => $rates,
                'conditions' => [],
                'week' => $n % 2 === 0 ? [
                    'fh' => array_fill(0, 7, $rates['fh']),
                    'ldg' => array_fill(0, 7, $rates['ldg']),
                ] : null,
            ]);
            $counters = ['fh' => 4000.0 + $n, 'ldg' => 3500.0 + $n];
            $craft->fill([
                'entry_counters' => ['fh' => 0, 'ldg' => 0],
                'counters' => $counters,
                'counters_as_of' => (string) $start,
            ])
                ->save();
            $counters = $this->fly($craft, $start, $today, $counters);
            $craft->update(['counters' => $counters, 'counters_as_of' => (string) $today->plusDays(-1)]);
            $this->done($craft, $this->engines($craft, $start), $items[$craft->type_id]->all(), $today);
            if ($n % 50 === 0) {
                $say("{$n} aircraft");
            }
        }
    }

    /**
     * @param array<string, float> $counters
     *
     * @return array<string, float>
     */
    private function fly(Aircraft $craft, Day $start, Day $today, array $counters): array
    {
        $rows = [];
        for ($day = $start->plusDays(1); $day->number < $today->number; $day = $day->plusDays(1)) {
            $flown = $this->programme->day($craft->mark, $day, $craft->rates);
            $counters = ['fh' => round($counters['fh'] + $flown['fh'], 1), 'ldg' => $counters['ldg'] + $flown['ldg']];
            $rows[] = ['aircraft_id' => $craft->id, 'date' => (string) $day, 'flown' => json_encode($flown)];
        }
        foreach (array_chunk($rows, 2000) as $some) {
            DB::table('flying_entries')->insert($some);
        }

        return $counters;
    }

    /** @return list<int> */
    private function engines(Aircraft $craft, Day $start): array
    {
        $ids = [];
        foreach ([1, 2] as $n) {
            $own = ['fh' => 500.0 * $n, 'cyc' => 450.0 * $n];
            $engine = Component::create([
                'kind' => 'engine',
                'title' => 'Engine',
                'part_no' => 'JV-L1',
                'serial' => "{$craft->mark}/{$n}",
                'entry_date' => $craft->entry_date,
                'counters' => $own,
                'accrues' => ['fh' => ['fh', 1], 'cyc' => ['ldg', 1]],
            ]);
            $engine->tenures()
                ->create([
                    'aircraft_id' => $craft->id,
                    'position' => "engine {$n}",
                    'from_date' => (string) $start,
                    'from_counted' => (string) $start,
                    'own' => $own,
                    'aircraft' => ['fh' => 4000.0 + $craft->id, 'ldg' => 3500.0 + $craft->id],
                ]);
            $ids[] = $engine->id;
        }

        return $ids;
    }

    /**
     * @param list<int> $engines
     * @param array<int, ProgrammeItem> $items
     */
    private function done(Aircraft $craft, array $engines, array $items, Day $today): void
    {
        $rows = [];
        // How far this aircraft's items have run at the most: some stop soon, some have time.
        $most = $this->random->getInt(70, 97);
        foreach ($items as $item) {
            $span = min(array_map(static fn(array $l): float => match ($l['unit']) {
                'months' => $l['interval'] * 30.0, 'fh' => $l['interval'] / $craft->rates['fh'],
                default => $l['interval'] / $craft->rates['ldg'],
            }, $item->limits)) * ($item->harsh === null ? 1.0 : 0.66);
            foreach ($item->component === null ? [null] : $engines as $n => $engine) {
                $days = (int) min(1000, $span * $this->random->getInt(2, $most) / 100);
                $ago = fn(string $of, float $now): float => round(max(0, $now - $days * $craft->rates[$of]), 1);
                $rows[] = [
                    'aircraft_id' => $engine === null ? $craft->id : null, 'component_id' => $engine,
                    'item_id' => $item->id, 'date' => (string) $today->plusDays(-1 - $days),
                    'counted_to' => (string) $today->plusDays(-1 - $days),
                    'counters' => json_encode($engine === null ? [
                        'fh' => $ago('fh', $craft->counters['fh']),
                        'ldg' => round($ago('ldg', $craft->counters['ldg'])),
                    ] : [
                        'fh' => $ago('fh', 500.0 * ($n + 1) + $craft->counters['fh'] - 4000 - $craft->id),
                        'cyc' => round($ago('ldg', 450.0 * ($n + 1) + $craft->counters['ldg'] - 3500 - $craft->id)),
                    ]),
                    'planned' => null,
                ];
            }
        }
        foreach (array_chunk($rows, 2000) as $some) {
            DB::table('item_statuses')->insert($some);
            DB::table('item_doings')->insert(array_map(
                static fn(array $r): array => [
                    'item_id' => $r['item_id'],
                    'aircraft_id' => $craft->id,
                    'component_id' => $r['component_id'],
                    'date' => $r['date'],
                    'counters' => $r['counters'],
                ],
                $some,
            ));
        }
    }
}
