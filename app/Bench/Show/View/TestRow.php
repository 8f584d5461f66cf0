<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A functional test, or an attempt at one, in the list of the room. */
#[OA\Schema]
final readonly class TestRow
{
    public function __construct(
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $card,
        #[OA\Property] public int $step,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $system,
        #[OA\Property] public string $title,
        #[OA\Property] public string $look,
        #[OA\Property] public string $word,
        #[OA\Property] public string $said,
        #[OA\Property] public ?int $attemptId,
        #[OA\Property] public ?int $findingId,
    ) {}
}
