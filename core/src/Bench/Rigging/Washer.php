<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** A two-sided serrated washer as an adjuster: how finely it goes, and how it is turned by so many degrees. */
final readonly class Washer
{
    private function __construct(
        public int $unitTeeth,
        public int $leverTeeth,
        private ?int $maxUnit,
        private ?int $maxLever,
    ) {}

    /**
     * @param array<string, int> $spec `unit_teeth`, `lever_teeth`, and `max_unit_steps`, `max_lever_steps` where they
     *   are bound, as in core/schema/step.json
     *
     * @throws InputError as {@see Vernier::turn()}
     *
     * @pure
     */
    public static function from(array $spec): self
    {
        $is = new self(
            $spec['unit_teeth'],
            $spec['lever_teeth'],
            $spec['max_unit_steps'] ?? null,
            $spec['max_lever_steps'] ?? null,
        );
        $is->turn(0.0);

        return $is;
    }

    /** The serrations for so many degrees, clockwise positive. @pure */
    public function turn(float $degrees): Vernier
    {
        return Vernier::turn($this->unitTeeth, $this->leverTeeth, $degrees, $this->maxUnit, $this->maxLever);
    }

    /**
     * Whether every multiple of a step, as far as it goes either way, is had to the serration.
     *
     * @param float $step degrees, above 0
     * @param int $times how many steps it goes
     *
     * @pure
     */
    public function has(float $step, int $times): bool
    {
        for ($n = -$times; $n <= $times; $n++) {
            if (! Near::atMost(abs($this->turn($n * $step)->error), 0.0)) {
                return false;
            }
        }

        return true;
    }
}
