<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A limit that was exceeded. */
#[OA\Schema]
final readonly class ExceedanceView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $position,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $limit,
        #[OA\Property] public string $exceeded,
        #[OA\Property] public string $row,
        #[OA\Property] public string $state,
        #[OA\Property] public string $word,
        #[OA\Property] public string $happened,
        /** who entered it, and from where */
        #[OA\Property] public string $by,
        #[OA\Property] public string $note,
        #[OA\Property] public string $rule,
        #[OA\Property] public ?string $finding,
        #[OA\Property] public ?int $findingId,
        #[OA\Property] public bool $mayMistake,
    ) {}
}
