<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;

/**
 * The two-sided serrated washer: washer and lever together by one serration at the unit is a coarse step, the lever
 * alone by one on the washer another; turning both against each other gives the fine one. Clockwise is positive.
 */
final readonly class Vernier
{
    private function __construct(
        public int $unitSteps,
        public int $leverSteps,
        public float $achieved,
        public float $error,
        public float $coarse,
        public float $fine,
    ) {}

    /**
     * The steps that come nearest; of equals the fewest, then the fewest at the unit.
     *
     * @param int $unitTeeth serrations on the unit's side, at least 2
     * @param int $leverTeeth on the lever's side, at least 2
     * @param float $required degrees, signed
     * @param int|null $maxUnit steps either way; half the teeth where null
     * @param int|null $maxLever likewise
     *
     * @throws InputError at what is too few or negative
     *
     * @pure
     */
    public static function turn(
        int $unitTeeth,
        int $leverTeeth,
        float $required,
        ?int $maxUnit = null,
        ?int $maxLever = null,
    ): self {
        foreach (['unit_teeth' => $unitTeeth, 'lever_teeth' => $leverTeeth] as $field => $teeth) {
            if ($teeth < 2) {
                throw InputError::at($field, 'must be at least 2');
            }
        }
        foreach (['max_unit_steps' => $maxUnit, 'max_lever_steps' => $maxLever] as $field => $most) {
            if ($most !== null && $most < 0) {
                throw InputError::negative($field);
            }
        }
        $coarse = 360 / $unitTeeth;
        $lever = 360 / $leverTeeth;
        $mostLever = $maxLever ?? intdiv($leverTeeth, 2);
        $best = [INF, 0, 0, 0, 0, 0];
        $mostUnit = $maxUnit ?? intdiv($unitTeeth, 2);
        for ($i = -$mostUnit; $i <= $mostUnit; $i++) {
            // For so many at the unit, the lever's two nearest are all that can be best.
            $near = ($required - $i * $coarse) / $lever;
            foreach ([(int) floor($near), (int) ceil($near)] as $j) {
                $j = max(-$mostLever, min($mostLever, $j));
                $rank = [
                    round(abs($i * $coarse + $j * $lever - $required), 9), abs($i) + abs($j), abs($i), -$i, $i, $j,
                ];
                $best = $rank < $best ? $rank : $best;
            }
        }
        [, , , , $i, $j] = $best;
        $achieved = $i * $coarse + $j * $lever;

        return new self($i, $j, $achieved, $achieved - $required, $coarse, abs($coarse - $lever));
    }

    /** @return array<string, int|float> */
    public function toArray(): array
    {
        return [
            'unit_steps' => $this->unitSteps, 'lever_steps' => $this->leverSteps, 'achieved_deg' => $this->achieved,
            'error_deg' => $this->error, 'coarse_step_deg' => $this->coarse, 'fine_step_deg' => $this->fine,
        ];
    }
}
