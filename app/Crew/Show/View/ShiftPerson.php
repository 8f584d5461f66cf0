<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Somebody of the base on a day. */
#[OA\Schema]
final readonly class ShiftPerson
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $stamp,
        #[OA\Property] public bool $there,
        #[OA\Property] public string $said,
        #[OA\Property] public float $hours,
        #[OA\Property] public float $given,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $skills,
        #[OA\Property] public bool $trainee,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $conflicts,
    ) {}
}
