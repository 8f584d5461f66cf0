<?php

declare(strict_types=1);

namespace App\Console;

use App\Crew\Model\Person;
use App\Deferrals\Model\ListedItem;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Deferrals\Carried;
use Jorvel\Core\Deferrals\Dispatch;
use Jorvel\Core\Deferrals\Sector;
use Jorvel\Core\Deferrals\Swap;
use Jorvel\Core\Deferrals\SwapAircraft;
use Jorvel\Core\Deferrals\SwapLine;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Instant;
use RuntimeException;

/**
 * The figures of the room Deferrals: its answers with 5,000 open and 100,000 closed deferrals in the large world, a
 * thousand flights judged for 200 aircraft, and 250 lines shared out among them.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class DeferralFigures
{
    private const OPEN = 5_000;

    private const CLOSED = 100_000;

    public function __construct(private Clock $clock) {}

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        [$flights, $fleet] = self::world();
        yield self::figure(
            'dispatch of 1,000 sectors × 200 aircraft, median of five',
            Timing::median(static fn(): mixed => self::judged($flights, $fleet), 5),
            'ms',
            2000,
        );
        $lines = array_map(
            static fn(array $some, int $n): SwapLine => SwapLine::of("L{$n}", 'S'.$n % 3, $some, 'A'.$n % 200),
            array_chunk($flights, 4),
            range(0, 249),
        );
        $at = Instant::parse('2026-05-05T12:00:00Z');
        yield self::figure(
            'swap of 250 lines × 200 aircraft, median of five',
            Timing::median(static fn(): mixed => Swap::of($lines, $fleet, $at), 5),
            'ms',
            2000,
        );
        yield from $this->answers();
    }

    /** @return array{list<Sector>, list<SwapAircraft>} the same at every run */
    private static function world(): array
    {
        $chance = Chance::seeded(14);
        $flights = $fleet = [];
        $from = Instant::parse('2026-05-06T04:00:00Z')->epoch();
        for ($n = 0; $n < 1000; $n++) {
            $departs = $from + $n % 4 * 7200;
            $flights[] = Sector::of("s{$n}", Instant::fromEpoch($departs), Instant::fromEpoch($departs + 5400), [
                'icing' => $chance->below(5) === 0, 'night' => $chance->below(4) === 0,
            ], 1.5, 1);
        }
        for ($a = 0; $a < 200; $a++) {
            $carried = [];
            for ($i = $chance->below(5); $i > 0; $i--) {
                $carried[] = Carried::of(
                    "d{$i}",
                    'system '.$chance->below(20),
                    1,
                    2,
                    1,
                    ['system '.$chance->below(20)],
                    [
                        'icing' => $chance->below(3) === 0,
                    ],
                    ['max_altitude_ft' => 10000 + 1000 * $chance->below(20)],
                    expires: Instant::fromEpoch(
                        $from + 3600 * $chance->below(72),
                    ),
                );
            }
            $fleet[] = new SwapAircraft(
                "A{$a}",
                'S'.$a % 3,
                Instant::fromEpoch($from - 3600),
                40.0,
                30.0,
                Dispatch::with(
                    $carried,
                ),
            );
        }

        return [$flights, $fleet];
    }

    /**
     * @param list<Sector> $flights
     * @param list<SwapAircraft> $fleet
     */
    private static function judged(array $flights, array $fleet): int
    {
        $at = Instant::parse('2026-05-05T12:00:00Z');
        $go = 0;
        foreach ($fleet as $aircraft) {
            foreach ($flights as $flight) {
                $go += $aircraft->dispatch->judge($flight, $at)->verdict === 'no_go' ? 0 : 1;
            }
        }

        return $go;
    }

    /** @return iterable<Figure> */
    private function answers(): iterable
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'jorvel-bench');
        try {
            Artisan::call('jorvel:world', ['name' => 'large', '--seed' => 7, '--database' => $file]);
            $this->fill();
            $id = DB::table('deferrals')->where('state', 'open')->value('id');
            $mark = Aircraft::orderBy('id')->firstOrFail()->mark;
            foreach ([
                'the room, 5,000 carried and 100,000 closed' => '/api/deferrals',
                'its fiftieth page' => '/api/deferrals?page=50',
                'one aircraft\'s' => "/api/deferrals?mark={$mark}",
                'one deferral' => "/api/deferrals/{$id}",
            ] as $what => $path) {
                yield self::figure("{$what}, 95th percentile", self::p95($path), 'ms', 150);
            }
        } finally {
            app('db')->purge();
            array_map(unlink(...), glob("{$file}*") ?: []);
        }
    }

    /** 40 listed items a type, a card an aircraft, and its deferrals. */
    private function fill(): void
    {
        $person = Person::firstOrFail();
        $items = [];
        foreach (CardTemplate::get()->groupBy('type_id') as $type => $cards) {
            for ($n = 0; $n < 40; $n++) {
                $items[$type][] = ListedItem::create(ListedItem::row((int) $type, [
                    'code' => sprintf('%02d-L1', 20 + $n), 'chapter' => (string) (20 + $n), 'system' => "system {$n}",
                    'title' => "Listed item {$n}", 'category' => 'D', 'installed' => 60, 'required' => 1,
                    'placard' => "ITEM {$n} INOP",
                ], 1, 1))->id;
            }
        }
        $aircraft = Aircraft::orderBy('id')->get();
        $look = [];
        foreach ($aircraft as $one) {
            $template = CardTemplate::where('type_id', $one->type_id)->firstOrFail();
            $visit = Visit::create([
                'aircraft_id' => $one->id, 'title' => 'Line work', 'bay' => 'line', 'start' => '2026-01-05',
                'end' => '2026-01-05', 'state' => Visit::RELEASED,
            ]);
            $look[$one->id] = Card::create([
                'visit_id' => $visit->id, 'aircraft_id' => $one->id, 'template_id' => $template->id,
                'number' => sprintf('%03d-01', $visit->id), 'title' => 'Line work', 'revision' => 1,
                'skill' => 'airframe',
                'hours' => 1, 'zone' => 'cabin', 'independent_inspection' => false, 'state' => Card::CLOSED,
                'version' => 1,
                'stage' => $template->stage, 'covers' => [], 'systems' => [], 'tools' => [], 'panels' => [],
            ])->id;
        }
        $today = $this->clock->today();
        $chance = Chance::seeded(15);
        $findings = $deferrals = [];
        for ($n = 1; $n <= self::OPEN + self::CLOSED; $n++) {
            $one = $aircraft[$n % count($aircraft)];
            $open = $n <= self::OPEN;
            $item = $items[$one->type_id][$chance->below(40)];
            $found = $today->plusDays(-($open ? $chance->below(110) : 130 + $chance->below(900))).'T10:00:00Z';
            $findings[] = [
                'id' => $n, 'aircraft_id' => $one->id, 'card_id' => $look[$one->id], 'raised_by' => $person->id,
                'number' => "B{$n}", 'chapter' => '20', 'place' => "place {$n}", 'extent' => 'does not work',
                'state' => $open ? 'deferred' : 'fixed', 'raised_at' => $found,
            ];
            $deferrals[] = [
                'finding_id' => $n, 'aircraft_id' => $one->id, 'listed_item_id' => $item, 'deferred_by' => $person->id,
                'category' => 'D', 'discovered_at' => $found, 'timezone' => $this->clock->zone()->getName(),
                'limits' => '{}', 'at_discovery' => '{}', 'counted_to' => substr($found, 0, 10), 'placard' => 'INOP',
                'procedure_done' => true, 'state' => $open ? 'open' : 'closed', 'begun_at' => $found,
                'placard_at' => $found, 'closed_at' => $open ? null : $found, 'extensions' => '[]',
            ];
        }
        DB::transaction(static function () use ($findings, $deferrals): void {
            foreach ([['findings', $findings], ['deferrals', $deferrals]] as [$table, $rows]) {
                foreach (array_chunk($rows, 400) as $some) {
                    DB::table($table)->insert($some);
                }
            }
        });
    }

    private static function p95(string $path): float
    {
        Auth::guard('web')->setUser(Person::where('role', 'viewer')->firstOrFail());
        $kernel = app(Kernel::class);
        $ms = [];
        for ($i = -3; $i < 40; $i++) {
            $from = hrtime(true);
            $response = $kernel->handle(Request::create(
                $path,
                'GET',
                [],
                [],
                [],
                ['HTTP_ACCEPT' => 'application/json'],
            ));
            if ($response->getStatusCode() !== 200) {
                throw new RuntimeException("{$path} was answered with {$response->getStatusCode()}");
            }
            if ($i >= 0) {
                $ms[] = (hrtime(true) - $from) / 1e6;
            }
        }
        sort($ms);

        return $ms[(int) floor(0.95 * (count($ms) - 1))];
    }

    /** @return Figure */
    private static function figure(string $metric, float $value, string $unit, float $aim): array
    {
        return [
            'bench' => 'deferrals', 'metric' => $metric, 'value' => $value, 'unit' => $unit, 'aim' => $aim,
            'more' => false,
        ];
    }
}
