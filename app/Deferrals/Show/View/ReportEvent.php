<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** Something done or found on its system before. */
#[OA\Schema]
final readonly class ReportEvent
{
    public function __construct(
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $link,
        #[OA\Property(description: 'somebody had their hands on it last: the first suspect')] public bool $suspect,
    ) {}
}
