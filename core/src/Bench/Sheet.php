<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_column;
use function array_map;

use Jorvel\Core\Library\Expression;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/**
 * What the points of one sheet say together: how far they lie apart, and what is worked out from them.
 *
 * The limit of each point is judged by {@see Limit}, reading by reading.
 */
final readonly class Sheet
{
    /**
     * @param list<array{title: string, of: list<string>, max: float}> $spread
     * @param list<array{id: string, title: string, unit: Unit, is: Expression, limit: ReadingLimit|null}> $derived
     */
    private function __construct(public array $spread, public array $derived) {}

    /**
     * @param array<string, mixed> $spec as in core/schema/step.json
     *
     * @throws InputError at `derived.<i>.is`
     *
     * @pure
     */
    public static function from(array $spec): self
    {
        $derived = [];
        foreach (array_values($spec['derived'] ?? []) as $i => $d) {
            try {
                $is = Expression::of((string) $d['is']);
            } catch (InputError $e) {
                throw $e->under("derived.{$i}.is");
            }
            $derived[] = [
                'id' => (string) $d['id'], 'title' => (string) $d['title'], 'unit' => Unit::parse((string) $d['unit']),
                'is' => $is, 'limit' => isset($d['limit'])
                    ? LimitKind::limit(Input::of((object) $d['limit'], "derived.{$i}.limit"))
                    : null,
            ];
        }

        return new self(array_values(array_map(static fn(array $s): array => [
            'title' => (string) $s['title'], 'of' => array_values(array_map(strval(...), $s['of'])),
            'max' => (float) $s['max'],
        ], $spec['spread'] ?? [])), $derived);
    }

    /**
     * @param array<string, float> $values by id of the point
     *
     * @return list<SheetLine> for each spread, then each derived value; those whose points are not all read are
     *   left out
     *
     * @pure
     */
    public function lines(array $values): array
    {
        $out = [];
        foreach ($this->spread as $s) {
            if (array_diff($s['of'], array_keys($values)) === []) {
                $alike = Alike::of(array_map(static fn(string $id): float => $values[$id], $s['of']), $s['max']);
                $out[] = new SheetLine(
                    $s['title'],
                    null,
                    $alike->spread,
                    $alike->verdict,
                    $alike->outlier === null ? null : $s['of'][$alike->outlier],
                );
            }
        }
        foreach ($this->derived as $d) {
            if (array_diff($d['is']->names, array_keys($values)) !== []) {
                continue;
            }
            $value = $d['is']->value(array_intersect_key($values, array_flip($d['is']->names)));
            $values[$d['id']] = $value;
            $out[] = new SheetLine(
                $d['title'],
                $d['unit'],
                $value,
                $d['limit'] === null || $d['limit']->holds($value) ? Verdict::Pass : Verdict::Fail,
                null,
            );
        }

        return $out;
    }

    /**
     * The verdict of it all: invalid where a reading is, else failed where anything is outside.
     *
     * @param list<Verdict> $points
     * @param list<SheetLine> $lines
     *
     * @pure
     */
    public static function verdict(array $points, array $lines): Verdict
    {
        $all = [...$points, ...array_column($lines, 'verdict')];

        return match (true) {
            in_array(Verdict::Fail, $all, true) => Verdict::Fail,
            in_array(Verdict::Invalid, $all, true) => Verdict::Invalid,
            in_array(Verdict::Marginal, $all, true) => Verdict::Marginal,
            default => Verdict::Pass,
        };
    }
}
