<?php

declare(strict_types=1);

namespace App\Release\Show\View;

use OpenApi\Attributes as OA;

/** Something that stands in the way of release, and where it is. */
#[OA\Schema]
final readonly class BlockerView
{
    public function __construct(
        #[OA\Property] public string $code,
        /** @var list<string> every code of this card or thing */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $codes,
        #[OA\Property] public string $title,
        #[OA\Property] public string $text,
        #[OA\Property] public string $link,
    ) {}
}
