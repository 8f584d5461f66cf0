<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A kind of recorder, and how its files are read. */
#[OA\Schema]
final readonly class RecorderView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $type,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public int $version,
        #[OA\Property(description: 'how it is read, as JSON')] public string $json,
    ) {}
}
