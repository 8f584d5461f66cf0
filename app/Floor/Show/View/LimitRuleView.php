<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A limit of a run whose table says what follows when it is exceeded. */
#[OA\Schema]
final readonly class LimitRuleView
{
    public function __construct(
        #[OA\Property] public string $rule,
        #[OA\Property] public string $position,
        #[OA\Property] public string $title,
        #[OA\Property] public string $unit,
    ) {}
}
