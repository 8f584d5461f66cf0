<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A month flown. */
#[OA\Schema]
final readonly class MonthView
{
    public function __construct(
        #[OA\Property] public string $month,
        #[OA\Property] public int $days,
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        )] public object $flown,
    ) {}
}
