<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A batch of a product of the specification that a step names. */
#[OA\Schema]
final readonly class ProductView
{
    public function __construct(
        #[OA\Property] public string $specification,
        #[OA\Property] public string $batch,
        #[OA\Property] public string $title,
        #[OA\Property] public string $left,
        #[OA\Property] public ?string $expires,
        /** @var list<string> systems that it must never meet */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $never,
        #[OA\Property] public ?string $why,
    ) {}
}
