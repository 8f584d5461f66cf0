<?php

declare(strict_types=1);

namespace App\Floor\Do;

use Jorvel\Core\Floor\DamageSize;
use Jorvel\Core\Floor\DamageSpot;

/** What somebody says of a damage that is not on the map yet. */
final readonly class NewDamage
{
    /**
     * @param array<string, float> $limits as the approved data names them
     * @param string $source where it does
     * @param bool $another it is none of those that lie near
     */
    public function __construct(
        public string $kind,
        public string $place,
        public DamageSpot $spot,
        public DamageSize $size,
        public array $limits,
        public string $source,
        public ?float $everyHours,
        public ?int $everyDays,
        public bool $another,
    ) {}
}
