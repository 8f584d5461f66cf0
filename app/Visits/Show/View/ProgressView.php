<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** How a visit goes. */
#[OA\Schema]
final readonly class ProgressView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $verdict,
        #[OA\Property] public int $cards,
        #[OA\Property] public int $closed,
        #[OA\Property] public float $hours,
        #[OA\Property] public float $worked,
        #[OA\Property] public float $spent,
        #[OA\Property] public int $openFindings,
        #[OA\Property] public float $mustDays,
        #[OA\Property] public string $must,
        /** @var list<ProgressDay> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProgressDay::class))] public array $days,
    ) {}
}
