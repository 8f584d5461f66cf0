<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A listed item that a finding could be carried under, with what the clock would say. */
#[OA\Schema]
final readonly class OptionView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $category,
        #[OA\Property] public string $conditions,
        #[OA\Property] public ?string $procedure,
        #[OA\Property] public string $placard,
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $date,
    ) {}
}
