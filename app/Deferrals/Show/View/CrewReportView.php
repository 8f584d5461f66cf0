<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** What a crew reported, and how it stands. */
#[OA\Schema]
final readonly class CrewReportView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $flight,
        #[OA\Property] public string $happened,
        #[OA\Property] public string $crew,
        #[OA\Property] public string $text,
        #[OA\Property] public ?string $chapter,
        #[OA\Property(description: 'whether a person said the chapter')] public bool $sorted,
        #[OA\Property(description: 'open, finding, deferred, fixed or no_fault')] public string $stands,
        #[OA\Property(description: 'clear, watch, stop or waiting')] public string $state,
        #[OA\Property] public string $said,
        #[OA\Property(description: 'number of the same one before; null where it is no repeat')] public ?string $repeat,
        #[OA\Property] public ?int $findingId,
    ) {}
}
