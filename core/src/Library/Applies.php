<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Shared\InputError;

/**
 * What a step is meant for: certain tails, variants, options, positions, or an answer given before.
 *
 * Everything that is named must hold; of several values of one thing, one is enough. A step that does not apply is
 * answered "not applicable" with the reason, and is never done.
 */
final readonly class Applies
{
    /**
     * @param array<string, list<string>> $wanted by {@see AppliesTo}
     * @param string|null $step id of the step whose answer counts
     */
    private function __construct(private array $wanted, private ?string $step, private ?string $why) {}

    /**
     * `Applies::of(['variant' => ['F1', 'F2']])`; `Applies::of(['answer' => ['step' => 'kind', 'is' => ['wet']]])`.
     *
     * @param array<string, mixed> $spec as in core/schema/step.json
     *
     * @throws InputError for a condition that names nothing
     *
     * @pure
     */
    public static function of(array $spec): self
    {
        $wanted = [];
        foreach (AppliesTo::cases() as $by) {
            $values = $by === AppliesTo::Answer ? $spec['answer']['is'] ?? null : $spec[$by->value] ?? null;
            if ($values === []) {
                throw InputError::empty($by->value);
            }
            if ($values !== null) {
                $wanted[$by->value] = array_values(array_map(strval(...), $values));
            }
        }

        return new self($wanted, $spec['answer']['step'] ?? null, $spec['why'] ?? null);
    }

    /**
     * The first thing that is not met; null where it applies, or where the answer that it rests on is still to come.
     *
     * @param string|null $position of the block that the step stands in
     *
     * @pure
     */
    public function unmet(Subject $on, ?string $position = null): ?Unmet
    {
        foreach ($this->wanted as $name => $values) {
            $by = AppliesTo::from($name);
            $is = match ($by) {
                AppliesTo::Tail => [$on->tail],
                AppliesTo::Variant => [$on->variant],
                AppliesTo::Option => $on->options,
                AppliesTo::Position => $position === null ? [] : [$position],
                AppliesTo::Answer => isset($on->answers[$this->step]) ? [$on->answers[$this->step]] : $values,
            };
            if ($values !== [] && array_intersect($values, $is) === []) {
                return new Unmet(
                    $by,
                    $values,
                    $is === [] ? null : implode(', ', $is),
                    $by === AppliesTo::Answer ? $this->step : null,
                    $this->why,
                );
            }
        }

        return null;
    }
}
