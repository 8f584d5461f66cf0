<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** What a recorder's file would record. */
#[OA\Schema]
final readonly class RecorderPreview
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $lines,
    ) {}
}
