<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Closure;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** What a rigging is worked by: points with their limits, adjusters, what is believed of their effects, and matches. */
final readonly class RigModel
{
    /** A reading's noise where the model does not say: so much of the band of its limits. */
    private const NOISE = 0.1;

    /** By how many per cent the book is doubted where the model does not say. */
    private const PERCENT = 15.0;

    /**
     * @param list<ReadPoint> $points
     * @param list<Adjuster> $adjusters in the order of the work
     * @param array<string, array<string, Effect>> $effects by adjuster and point
     * @param list<RigMatch> $matches
     */
    private function __construct(
        public array $points,
        public array $adjusters,
        public array $effects,
        public array $matches,
    ) {}

    /**
     * @param array<string, mixed> $spec as of a step of the kind `rig` in core/schema/step.json
     *
     * @throws InputError at what is no model
     *
     * @pure
     */
    public static function from(array $spec): self
    {
        return new self(
            self::each($spec['points'], 'points', static fn(array $p): ReadPoint => ReadPoint::of(
                $p['id'],
                (float) $p['min'],
                (float) $p['max'],
                (float) ($p['noise'] ?? self::NOISE * ($p['max'] - $p['min'])),
            )),
            self::each($spec['adjusters'], 'adjusters', static fn(array $a): Adjuster => Adjuster::of(
                $a['id'],
                (float) $a['step'],
                (float) $a['min'],
                (float) $a['max'],
                Turn::from($a['positive']),
            )),
            self::effects($spec['effects'], (float) ($spec['effect_pct'] ?? self::PERCENT)),
            self::each($spec['match'] ?? [], 'match', static fn(array $m): RigMatch
                => RigMatch::of($m['points'][0], $m['points'][1], (float) $m['within'])),
        );
    }

    /**
     * The same, begun from what is known better than by the book.
     *
     * @param array<string, array<string, array{mean: float|int, sd: float|int}>> $known by adjuster and point
     *
     * @pure
     */
    public function begunFrom(array $known): self
    {
        $effects = $this->effects;
        foreach ($effects as $adjuster => $row) {
            foreach (array_keys($row) as $point) {
                if (isset($known[$adjuster][$point])) {
                    $is = $known[$adjuster][$point];
                    $effects[$adjuster][$point] = Effect::of((float) $is['mean'], (float) $is['sd']);
                }
            }
        }

        return new self($this->points, $this->adjusters, $effects, $this->matches);
    }

    /**
     * Of adjusters, those that move none of some points: what can be set without them.
     *
     * @param list<string> $adjusters
     * @param list<string> $points
     *
     * @return list<string>
     *
     * @pure
     */
    public function apartFrom(array $adjusters, array $points): array
    {
        return array_values(array_filter(
            $adjusters,
            fn(string $id): bool => array_intersect($points, array_keys($this->effects[$id] ?? [])) === [],
        ));
    }

    /** What two points must match by; null where they need not. @pure */
    public function match(string $a, string $b): ?RigMatch
    {
        foreach ($this->matches as $match) {
            if (in_array($a, [$match->a, $match->b], true) && in_array($b, [$match->a, $match->b], true)) {
                return $match;
            }
        }

        return null;
    }

    /**
     * @param list<MeasuredRun> $runs
     *
     * @throws InputError as {@see RigNext::after()}
     *
     * @pure
     */
    public function next(array $runs, Deadline $deadline): RigNextResult
    {
        return RigNext::after($this->points, $this->adjusters, $this->effects, $this->matches, $runs, $deadline);
    }

    /**
     * The same, with adjusters that reach no further than something lets them: threads of a turnbuckle, counted.
     *
     * @param array<string, array{float, float}> $reach by adjuster, from where it stood: at most 0, at least 0
     *
     * @pure
     */
    public function within(array $reach): self
    {
        return new self($this->points, array_map(static fn(Adjuster $a): Adjuster => isset($reach[$a->id])
            ? Adjuster::of(
                $a->id,
                $a->step,
                max($a->min, $reach[$a->id][0]),
                min($a->max, $reach[$a->id][1]),
                $a->positive,
            )
            : $a, $this->adjusters), $this->effects, $this->matches);
    }

    /**
     * @param list<MeasuredRun> $runs nothing was turned after the last
     * @param array<string, float> $turned signed amounts by adjuster
     *
     * @throws InputError as {@see RigNext::foretell()}
     *
     * @pure
     */
    public function foretell(array $runs, array $turned): Foretold
    {
        return RigNext::foretell(
            $this->points,
            $this->adjusters,
            $this->effects,
            $this->matches,
            $runs,
            $turned,
        );
    }

    /** @return array<string, array<string, array{mean: float, sd: float}>> what is believed beforehand @pure */
    public function believed(): array
    {
        return array_map(static fn(array $row): array => array_map(
            static fn(Effect $e): array => ['mean' => $e->mean, 'sd' => $e->sd],
            $row,
        ), $this->effects);
    }

    /**
     * @param array<string, array<string, float|int|array{mean: float|int, sd: float|int}>> $table
     *
     * @return array<string, array<string, Effect>>
     */
    public static function effects(array $table, float $percent): array
    {
        $greatest = [];
        foreach ($table as $row) {
            foreach ($row as $point => $is) {
                $greatest[$point] = max($greatest[$point] ?? 0.0, abs((float) (is_array($is) ? $is['mean'] : $is)));
            }
        }
        $effects = [];
        foreach ($table as $adjuster => $row) {
            $effects[$adjuster] = [];
            foreach ($row as $point => $is) {
                $effects[$adjuster][$point] = is_array($is)
                    ? Effect::of((float) $is['mean'], (float) $is['sd'])
                    : Effect::book((float) $is, $percent, $greatest[$point]);
            }
        }

        return $effects;
    }

    /**
     * @template T
     *
     * @param array<array-key, array<string, mixed>> $rows
     * @param Closure(array<string, mixed>): T $make
     *
     * @return list<T>
     *
     * @throws InputError at its row
     */
    private static function each(array $rows, string $field, Closure $make): array
    {
        $out = [];
        foreach (array_values($rows) as $i => $row) {
            $out[] = Input::within("{$field}.{$i}", static fn(): mixed => $make($row));
        }

        return $out;
    }
}
