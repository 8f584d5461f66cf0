<?php

declare(strict_types=1);

namespace App\Console;

use Jorvel\Core\Bench\Rigging\Adjuster;
use Jorvel\Core\Bench\Rigging\Effect;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\ReadPoint;
use Jorvel\Core\Bench\Rigging\Rig;
use Jorvel\Core\Bench\Rigging\RigNext;
use Jorvel\Core\Bench\Rigging\RigNextResult;
use Jorvel\Core\Bench\Rigging\RigPoint;
use Jorvel\Core\Bench\Rigging\RigResult;
use Jorvel\Core\Bench\Rigging\Turn;
use Jorvel\Core\Practice\LinkageFaults;
use Jorvel\Core\Practice\RiggingTrial;
use Jorvel\Core\Practice\SimulatedLinkage;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;

/**
 * How many ground runs a rigging takes, over simulated linkages: with what is learned from run to run, by the book
 * alone, and by an oracle who knows the true effects. And what the solvers take.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class RigFigures
{
    private const CASES = 250;

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        yield from $this->worlds();
        yield from $this->solvers();
    }

    /** @return iterable<Figure> */
    private function worlds(): iterable
    {
        $worlds = [
            ['effects 10 % off', new LinkageFaults(book: 0.10), 10.0, 98.0],
            ['effects 25 % off', new LinkageFaults(book: 0.25), 25.0, 86.0],
            ['10 % off, play, one misreading', new LinkageFaults(book: 0.10, play: 1.0, misread: 2), 10.0, 85.0],
            ['10 % off, one screw slips', new LinkageFaults(book: 0.10, slips: 1), 10.0, null],
            ['10 % off, friction', new LinkageFaults(book: 0.10, friction: 0.15), 10.0, null],
        ];
        foreach ($worlds as [$name, $faults, $percent, $aim]) {
            $ways = [
                'learning' => static fn(SimulatedLinkage $l): ?int => RiggingTrial::learning($l, $percent),
                'by the book' => RiggingTrial::book(...), 'oracle' => RiggingTrial::oracle(...),
            ];
            foreach ($ways as $way => $rig) {
                $runs = [];
                for ($seed = 1; $seed <= self::CASES; $seed++) {
                    $runs[] = $rig(SimulatedLinkage::seeded($seed, $faults)) ?? RiggingTrial::MOST + 1;
                }
                $ours = $way === 'learning';
                foreach ([2, 3, 4] as $most) {
                    $share = 100 * count(array_filter($runs, static fn(int $r): bool => $r <= $most)) / self::CASES;
                    yield self::figure(
                        "{$name}, {$way}: within after {$most} runs of ".self::CASES.' cases',
                        $share,
                        '%',
                        $ours && $most === 3 ? $aim : null,
                        true,
                    );
                }
                yield self::figure(
                    "{$name}, {$way}: never within ".RiggingTrial::MOST.' runs',
                    count(array_filter($runs, static fn(int $r): bool => $r > RiggingTrial::MOST)),
                    'cases',
                    $ours && $aim !== null ? 1.0 : null,
                    false,
                );
            }
        }
    }

    /** @return iterable<Figure> */
    private function solvers(): iterable
    {
        $chance = Chance::seeded(16);
        $points = $read = $adjusters = $effects = $sure = $shown = [];
        for ($i = 0; $i < 8; $i++) {
            $off = 3 * $chance->normal();
            $points[] = RigPoint::of("p{$i}", $off, -1, 1);
            $read[] = ReadPoint::of("p{$i}", -1, 1, 0.2);
            $shown["p{$i}"] = $off;
        }
        for ($j = 0; $j < 5; $j++) {
            $adjusters[] = Adjuster::of("s{$j}", 0.25, -6, 6, Turn::Clockwise);
            for ($i = 0; $i < 8; $i++) {
                $effects["s{$j}"]["p{$i}"] = $chance->normal();
                $sure["s{$j}"]["p{$i}"] = Effect::book($effects["s{$j}"]["p{$i}"], 10.0, 2.0);
            }
        }
        yield self::figure('rig, 8 points, 5 adjusters of 49 positions, median of nine', Timing::median(
            static fn(): RigResult => Rig::solve($points, $adjusters, $effects),
            9,
        ), 'ms', 300.0, false);
        $five = array_map(
            static fn(Adjuster $a): Adjuster => Adjuster::of($a->id, 1.0, -5, 4, $a->positive),
            $adjusters,
        );
        $next = static fn(array $of): RigNextResult
            => RigNext::after($read, $of, $sure, [], [new MeasuredRun($shown)], Deadline::in(2000));
        yield self::figure('rig_next, 8 points, 100,000 positions, proven, median of five', Timing::median(
            static fn(): RigNextResult => $next($five),
            5,
        ), 'ms', 2000.0, false);
        yield self::figure('rig_next, 8 points, 49⁵ positions, bounded, median of five', Timing::median(
            static fn(): RigNextResult => $next($adjusters),
            5,
        ), 'ms', 2000.0, false);
    }

    /** @return Figure */
    private static function figure(string $metric, float $value, string $unit, ?float $aim, bool $more): array
    {
        return [
            'bench' => 'rig', 'metric' => $metric, 'value' => $value, 'unit' => $unit, 'aim' => $aim, 'more' => $more,
        ];
    }
}
