<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A device now fitted, or a line left open. */
#[OA\Schema]
final readonly class SafingView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $place,
        #[OA\Property] public string $flag,
        #[OA\Property] public string $card,
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $since,
        #[OA\Property] public string $by,
        #[OA\Property] public bool $openLine,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $against,
        #[OA\Property] public ?string $storage,
        #[OA\Property] public ?string $carriedBy,
        #[OA\Property] public ?int $removerCard,
        #[OA\Property] public ?int $removerStep,
        #[OA\Property] public ?string $remover,
        #[OA\Property] public int $days,
    ) {}
}
