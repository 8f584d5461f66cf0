<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** One day flown; an entry that was corrected stays to be seen. */
#[OA\Schema]
final readonly class FlyingView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $date,
        #[OA\Property] public string $flown,
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        )] public object $amounts,
        #[OA\Property] public bool $current,
        #[OA\Property] public string $source,
        #[OA\Property] public ?string $reason,
        #[OA\Property] public ?string $by,
    ) {}
}
