<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** What would be said of a reading. */
#[OA\Schema]
final readonly class Preview
{
    public function __construct(
        #[OA\Property] public string $verdict,
        #[OA\Property] public string $said,
        #[OA\Property] public ?float $value,
        /** legal, and outside what is advised: a word is asked with it */
        #[OA\Property] public bool $unusual = false,
        /** legal, and far from what was read there before: why; empty where it is not */
        #[OA\Property] public string $strange = '',
        /** what it must be, where a chart says that from what else was typed */
        #[OA\Property] public string $must = '',
    ) {}
}
