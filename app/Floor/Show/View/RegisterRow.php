<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** An aircraft that something is fitted to. */
#[OA\Schema]
final readonly class RegisterRow
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public int $devices,
        #[OA\Property] public int $openLines,
        #[OA\Property] public int $people,
        #[OA\Property] public string $said,
    ) {}
}
