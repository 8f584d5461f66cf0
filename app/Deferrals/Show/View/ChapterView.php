<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A chapter that the words of a report speak of. */
#[OA\Schema]
final readonly class ChapterView
{
    public function __construct(
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $words,
    ) {}
}
