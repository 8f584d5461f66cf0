<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** The aircraft with something in their safing registers. */
#[OA\Schema]
final readonly class RegistersView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<RegisterRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RegisterRow::class))] public array $aircraft,
    ) {}
}
