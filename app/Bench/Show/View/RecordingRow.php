<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A recording in a list. */
#[OA\Schema]
final readonly class RecordingRow
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $name,
        #[OA\Property] public string $begun,
        #[OA\Property] public float $minutes,
        #[OA\Property] public string $look,
        #[OA\Property] public string $word,
        #[OA\Property] public ?string $test,
    ) {}
}
