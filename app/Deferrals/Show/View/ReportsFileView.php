<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** What a file of crew reports would enter, or entered. */
#[OA\Schema]
final readonly class ReportsFileView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public bool $entered,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $rows,
        #[OA\Property(description: 'the file, to be sent to enter it')] public string $text,
    ) {}
}
