<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Who is signed in, and what they may do. */
#[OA\Schema]
final readonly class Me
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $login,
        #[OA\Property] public string $stamp,
        #[OA\Property] public string $role,
        #[OA\Property] public string $base,
        #[OA\Property] public bool $ownPassword,
        #[OA\Property] public bool $ownPin,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
    ) {}
}
