<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Floor\Model\ReadingKind;
use App\Stores\Model\Tool;

/** A reading that was judged and is not kept yet. */
final readonly class Taken
{
    /**
     * @param string $entry as typed
     * @param float|null $margin to the nearest limit in the unit, negative outside
     * @param list<string> $reasons
     */
    public function __construct(
        public string $point,
        public string $entry,
        public float $value,
        public string $unit,
        public string $verdict,
        public ?float $margin,
        public ?Tool $tool,
        public array $reasons = [],
        public ReadingKind $kind = ReadingKind::Reading,
        public int $run = 1,
        public string $note = '',
    ) {}
}
