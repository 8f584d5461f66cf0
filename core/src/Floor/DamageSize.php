<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Shared\InputError;

/** A damage in numbers, as it was measured: all in millimetres. */
final readonly class DamageSize
{
    private function __construct(
        public float $length,
        public ?float $depth,
        public ?float $edge,
        public ?float $fastener,
    ) {}

    /**
     * @param float $length above 0, at most 10,000
     * @param float|null $depth 0 or more; null where it has none, or none was measured
     * @param float|null $edge distance to the next edge, 0 or more
     * @param float|null $fastener distance to the next fastener, 0 or more
     *
     * @throws InputError at the size that cannot be
     *
     * @pure
     */
    public static function of(float $length, ?float $depth = null, ?float $edge = null, ?float $fastener = null): self
    {
        if (! ($length > 0 && $length <= 10000)) {
            throw InputError::at('length', 'is wanted above 0 and at most 10,000 mm');
        }
        foreach (['depth' => $depth, 'edge' => $edge, 'fastener' => $fastener] as $name => $value) {
            if ($value !== null && ! ($value >= 0 && $value <= 10000)) {
                throw InputError::at($name, 'is wanted from 0 to 10,000 mm');
            }
        }

        return new self($length, $depth, $edge, $fastener);
    }
}
