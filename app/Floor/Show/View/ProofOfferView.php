<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** Work that would prove what is not whole, made already or to be made. */
#[OA\Schema]
final readonly class ProofOfferView
{
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property] public ?string $link,
        #[OA\Property] public ?int $template,
        #[OA\Property] public float $hours,
        #[OA\Property] public string $proves,
    ) {}
}
