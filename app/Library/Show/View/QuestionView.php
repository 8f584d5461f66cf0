<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A question to the type's support desk, with its answer. */
#[OA\Schema]
final readonly class QuestionView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $manual,
        #[OA\Property] public string $section,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public string $text,
        #[OA\Property] public ?string $answer,
        #[OA\Property] public ?string $reference,
        #[OA\Property] public ?string $answeredBy,
        #[OA\Property] public ?string $answeredAt,
    ) {}
}
