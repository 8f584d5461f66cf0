<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Bench\Model\RigRun;
use App\Floor\Model\Step;
use App\Floor\RigWords;
use App\Floor\Show\View\MoveView;
use App\Floor\Show\View\RunPointView;
use App\Floor\Show\View\RunView;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Bench\Rigging\Effect;
use Jorvel\Core\Bench\Rigging\RigModel;
use Jorvel\Core\Bench\Rigging\RigPoint;
use Jorvel\Core\Bench\Rigging\RigVerdict;
use Jorvel\Core\Shared\Unit;

/** One round of a rigging sheet, as it is shown on its card, on Bench and in a replay. */
final readonly class ShowRun
{
    public function __construct(private Clock $clock) {}

    /**
     * Every round, and at the end what it was left with.
     *
     * @param Collection<int, RigRun> $runs in order
     *
     * @return list<RunView>
     */
    public function all(Step $step, Collection $runs): array
    {
        $out = array_values($runs->map(fn(RigRun $r): RunView => $this->of($step, $r))->all());
        $last = $runs->last();
        if ($last !== null && $last->as_left !== null && $last->verdict() !== RigVerdict::Within) {
            $out[] = $this->of($step, $last->leftWith());
        }

        return $out;
    }

    private function of(Step $step, RigRun $run): RunView
    {
        $moves = array_map(static fn(array $m): MoveView => self::move($step, $m), $run->solution['moves']);

        return new RunView(
            $run->no,
            $run->ground,
            $run->verdict()->value,
            self::sentence($step, $run),
            (object) $run->as_found,
            array_map(
                static fn(array $p): RunPointView => self::point($p, $run),
                array_values($step->spec['points']),
            ),
            $moves,
            $run->turned === null ? null : (object) $run->turned,
            (object) RigWords::each($step->spec, $run->turned ?? []),
            array_map(static fn(string $id): string => self::name($step, $id), $run->solution['recheck']),
            $this->notes($step, $run),
            $run->prior['story'] ?? null,
            array_values($run->held ?? []),
            $run->read_at === null ? null : $this->clock->local($run->read_at),
        );
    }

    /** @param array{adjuster: string, amount: float|int, direction: string} $move */
    private static function move(Step $step, array $move): MoveView
    {
        // A card made before its template was checked for it may lack a title or unit; what was read on it is shown
        // all the same.
        $of = array_column($step->spec['adjusters'], null, 'id')[$move['adjuster']] ?? [];
        $from = isset($of['approach']) && $of['approach'] !== $move['direction']
            ? 'Go past it, and come to it '.RigWords::direction($of['approach'])
            : '';

        return new MoveView(
            $move['adjuster'],
            $of['title'] ?? $move['adjuster'],
            $move['amount'],
            $of['unit'] ?? '',
            $move['direction'],
            RigWords::amount((float) $move['amount'], $of['unit'] ?? '').' '
                .RigWords::direction($move['direction']),
            $from,
        );
    }

    /** @param array<string, mixed> $point of the sheet */
    private static function point(array $point, RigRun $run): RunPointView
    {
        $id = (string) $point['id'];
        $read = (float) ($run->as_found[$id] ?? 0.0);
        $next = $run->solution['predicted'][$id] ?? null;
        $chance = $run->solution['chance'][$id] ?? null;

        return new RunPointView(
            $id,
            $read,
            RigPoint::of($id, $read, (float) $point['min'], (float) $point['max'])->holds($read),
            in_array($id, array_column(self::doubts($run), 'point'), true),
            $next === null ? null : (float) $next['mean'],
            $next === null ? null : 2 * (float) $next['sd'],
            $chance === null ? '' : RigWords::percent((float) $chance),
        );
    }

    private static function sentence(Step $step, RigRun $run): string
    {
        $unmet = implode(
            ', ',
            array_map(static fn(string $id): string => self::name($step, $id), $run->solution['unmet']),
        );
        $doubted = array_map(static fn(array $d): string => self::name($step, $d['point']), self::doubts($run));
        $many = count($run->solution['moves']);
        $p = $run->solution['p_within'];

        return match ($run->verdict()) {
            RigVerdict::Within => 'All readings are inside. Nothing needs turning.',
            RigVerdict::ReadAgain => $doubted === []
                ? 'No turn makes it better than it probably is. Read once more in the same run.'
                : implode(' and ', $doubted).(count($doubted) === 1 ? ' does' : ' do').' not fit what went before: '
                    .'something slipped, has play, or was misread. Read again before you turn.',
            RigVerdict::OutOfReach => "Nothing that is left to turn brings in {$unmet}.",
            RigVerdict::Turn => ($many === 1 ? 'One adjuster' : "{$many} adjusters")
                .($unmet !== ''
                    ? " to turn, and outside probably stays: {$unmet}."
                    : ($many === 1 ? ' brings' : ' bring').' every reading inside'
                        .($p === null ? '.' : ', with a chance of '.RigWords::percent((float) $p).'.')),
        };
    }

    /** @return list<string> */
    private function notes(Step $step, RigRun $run): array
    {
        $notes = [];
        $ground = $step->spec['ground'] ?? null;
        if ($ground !== null) {
            $notes[] = RigWords::ground($ground, $run->ground);
            $notes = [...$notes, ...self::still($step, $run)];
        }
        $cool = $run->turned === null ? $run->cool($step->spec) : null;
        if ($cool !== null && $run->verdict() !== RigVerdict::ReadAgain) {
            $notes[] = 'Cool down at idle until '.$this->clock->local($cool)
                .', then shut down; nothing is turned before.';
        }
        foreach ($run->solution['at_stop'] as $id) {
            $notes[] = self::adjuster($step, $id).' then stands at its stop; further that way would be better.';
        }

        return [...$notes, ...self::off($step, $run)];
    }

    /** @return list<string> what is to be turned and moves nothing that is read in a run: it goes first */
    private static function still(Step $step, RigRun $run): array
    {
        $running = array_column(array_filter(
            $step->spec['points'],
            static fn(array $p): bool => $p['running'] ?? false,
        ), 'id');
        if ($running === [] || $run->turned !== null) {
            return [];
        }
        $still = RigModel::from($step->spec)
            ->apartFrom(array_column($run->solution['moves'], 'adjuster'), $running);

        return $still === [] ? [] : [
            Words::list(array_map(static fn(string $id): string => self::adjuster($step, $id), $still))
                .(count($still) === 1 ? ' moves' : ' move')
                    .' nothing that is read with the engine running: set and read '
                .(count($still) === 1 ? 'it' : 'them').' before the next run.',
        ];
    }

    /** @return list<string> where what was learned is far from the book */
    private static function off(Step $step, RigRun $run): array
    {
        $out = [];
        foreach (RigModel::effects($step->spec['effects'], 0.0) as $adjuster => $row) {
            foreach ($row as $point => $book) {
                $is = $run->solution['learned'][$adjuster][$point] ?? null;
                $learned = $is === null ? null : Effect::of((float) $is['mean'], (float) $is['sd']);
                if ($learned?->differsFrom($book->mean)) {
                    $unit = self::unit($step, $point);
                    $out[] = self::adjuster($step, $adjuster).' moves '.self::name($step, $point).' by '
                        .Words::number($learned->mean, 2)." {$unit} here, where the book says "
                        .Words::number($book->mean, 2)." {$unit}.";
                }
            }
        }

        return $out;
    }

    /** @return list<array{run: int, point: string, z: float|int}> of the last readings */
    private static function doubts(RigRun $run): array
    {
        $doubts = $run->solution['doubt'];
        $last = $doubts === [] ? -1 : max(array_column($doubts, 'run'));

        return $run->verdict() !== RigVerdict::ReadAgain ? [] : array_values(
            array_filter($doubts, static fn(array $d): bool => $d['run'] === $last),
        );
    }

    /** A point, or two that must match. */
    private static function name(Step $step, string $id): string
    {
        $points = array_column($step->spec['points'], 'title', 'id');

        return implode(' = ', array_map(static fn(string $p): string => $points[$p] ?? $p, explode('=', $id)));
    }

    private static function unit(Step $step, string $point): string
    {
        $unit = array_column($step->spec['points'], 'unit', 'id')[$point] ?? '';

        return Unit::tryFrom($unit)?->label() ?? $unit;
    }

    private static function adjuster(Step $step, string $id): string
    {
        return array_column($step->spec['adjusters'], 'title', 'id')[$id] ?? $id;
    }
}
