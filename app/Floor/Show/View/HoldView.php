<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** Something that holds a step, with the way to remove it; a person is called clear of their card from here. */
#[OA\Schema]
final readonly class HoldView
{
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $name,
        #[OA\Property] public string $said,
        #[OA\Property] public string $link,
        #[OA\Property] public string $action,
        #[OA\Property] public ?int $person = null,
        #[OA\Property] public ?int $card = null,
    ) {}
}
