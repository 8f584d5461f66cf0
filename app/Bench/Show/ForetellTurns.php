<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Do\RigInHand;
use App\Bench\Do\RigThreads;
use App\Bench\Do\RigTurned;
use App\Bench\Model\RigRun;
use App\Bench\Show\View\BucklesView;
use App\Bench\Show\View\ForetoldView;
use App\Bench\Show\View\WasherView;
use App\Floor\Model\Step;
use App\Floor\RigWords;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\Turn;
use Jorvel\Core\Bench\Rigging\Washer;

/** What would probably be read once what is typed was turned: before anybody turns it. */
final readonly class ForetellTurns
{
    /**
     * @param array<string, string> $entries signed amounts by adjuster, as typed
     *
     * @throws Refused as {@see RigTurned::read()}
     */
    public function of(Step $step, array $entries): ForetoldView
    {
        $hand = RigInHand::of($step);
        $run = $hand?->open();
        if ($hand === null || $run === null) {
            throw Refused::because('Nothing was read that could be turned from.');
        }
        $past = $hand->past($run);
        $turned = RigTurned::read($step->spec, $entries, $past, $hand->model);
        $measured = array_map(
            // What was said to be turned after this round is put right: it is not turned yet.
            static fn(RigRun $r): MeasuredRun => $r->no === $run->no
                ? new MeasuredRun(array_map(floatval(...), $r->as_found))
                : $r->measured(),
            $hand->rounds->all(),
        );
        $is = $hand->model->foretell(array_values($measured), $turned);
        $titles = array_column($step->spec['points'], 'title', 'id');
        $unmet = array_map(static fn(string $id): string => implode(' = ', array_map(
            static fn(string $p): string => $titles[$p] ?? $p,
            explode('=', $id),
        )), $is->unmet);

        return new ForetoldView(
            ($turned === [] ? 'With nothing turned, ' : 'So turned, ')
                .($unmet === []
                    ? 'everything is within with a chance of '.RigWords::percent($is->pWithin).'.'
                    : 'outside probably '.(count($unmet) === 1 ? 'stays' : 'stay').': '.implode(', ', $unmet).'.'),
            $unmet === [],
            (object) array_map(static fn(array $r): float => $r['mean'], $is->readings),
            self::washers($step->spec, $turned),
            self::buckles($step->spec, $hand->rounds->first()->threads ?? [], $past, $turned),
        );
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, float> $turned
     *
     * @return list<WasherView>
     */
    private static function washers(array $spec, array $turned): array
    {
        $out = [];
        foreach ($spec['adjusters'] as $is) {
            if (! isset($is['washer'])) {
                continue;
            }
            $washer = Washer::from($is['washer']);
            $steps = $washer->turn($turned[$is['id']] ?? 0.0);
            $out[] = new WasherView(
                $is['id'],
                $washer->unitTeeth,
                $washer->leverTeeth,
                $steps->unitSteps,
                $steps->leverSteps,
                RigWords::serrations($steps),
                $steps->achieved === 0.0 ? '' : 'Together they make '.RigWords::amount(abs($steps->achieved), 'deg').' '
                    .RigWords::direction(($steps->achieved > 0 ? Turn::Clockwise : Turn::CounterClockwise)->value).'.',
            );
        }

        return $out;
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, list<float|int>> $threads as they were counted
     * @param array<string, float> $past
     * @param array<string, float> $turned
     *
     * @return list<BucklesView>
     */
    private static function buckles(array $spec, array $threads, array $past, array $turned): array
    {
        $out = [];
        foreach ($spec['adjusters'] as $is) {
            if (! isset($is['buckles'], $threads[$is['id']])) {
                continue;
            }
            $now = RigThreads::buckles($is, $threads[$is['id']])->after($past[$is['id']] ?? 0.0);
            $amount = $turned[$is['id']] ?? 0.0;
            $after = $now->after($amount);
            [$low, $high] = $now->reach();
            [$first, $second] = $is['buckles']['names'];
            [$out1, $in1] = $amount < 0 ? [$second, $first] : [$first, $second];
            $out[] = new BucklesView(
                $is['id'],
                [$first, $second],
                [...$now->letOut, ...$now->takeUp],
                [...$after->letOut, ...$after->takeUp],
                $after->most,
                $after->reasons() === [],
                ($amount === 0.0
                    ? 'Neither is turned'
                    : "Let out the {$out1}, take up the {$in1}, ".Words::number(abs($amount), 2)
                    .' each').'. From here the threads leave '.Words::number($high, 2)." to let the {$first} out, and "
                        .Words::number(-$low, 2).' to take it up.',
            );
        }

        return $out;
    }
}
