<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** A due item that wants a visit. */
#[OA\Schema]
final readonly class PackLine
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $latest,
        #[OA\Property] public int $days,
        #[OA\Property] public float $hours,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $access,
        #[OA\Property] public ?string $slot,
        #[OA\Property] public ?string $waste,
        #[OA\Property] public ?string $problem,
    ) {}
}
