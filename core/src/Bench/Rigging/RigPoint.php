<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** A point that is read while rigging: what it reads, and between what it must. */
final readonly class RigPoint
{
    private function __construct(
        public string $id,
        public float $value,
        public float $min,
        public float $max,
        public float $aim,
        public float $weight,
    ) {}

    /**
     * @param float|null $aim what to come nearest to; mid-range where null
     * @param float $weight of its distance from the aim, at least 0
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        string $id,
        float $value,
        float $min,
        float $max,
        ?float $aim = null,
        float $weight = 1.0,
    ): self {
        if ($min > $max) {
            throw InputError::reversed('');
        }
        if (! ($weight >= 0)) {
            throw InputError::negative('weight');
        }

        return new self($id, $value, $min, $max, $aim ?? ($min + $max) / 2, $weight);
    }

    /** @pure */
    public function holds(float $value): bool
    {
        return Near::atLeast($value, $this->min) && Near::atMost($value, $this->max);
    }
}
