<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\Unit;

/** Something that several points of a sheet say together. */
final readonly class SheetLine
{
    /**
     * @param Unit|null $unit null for a spread, which is in the points' own
     * @param string|null $outlier id of the point that lies farthest off, where they are not alike
     */
    public function __construct(
        public string $title,
        public ?Unit $unit,
        public float $value,
        public Verdict $verdict,
        public ?string $outlier,
    ) {}
}
