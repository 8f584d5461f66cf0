<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Something that its reader must be told, until they say that they have seen it. */
#[OA\Schema]
final readonly class NoticeView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $link,
        #[OA\Property] public string $at,
    ) {}
}
