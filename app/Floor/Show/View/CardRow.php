<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A card in the list of the Floor. */
#[OA\Schema]
final readonly class CardRow
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $title,
        #[OA\Property] public string $state,
        #[OA\Property] public bool $mine,
        #[OA\Property] public bool $inspection,
        #[OA\Property] public ?string $inspectWhy,
        #[OA\Property] public ?string $inspectNext,
        #[OA\Property] public ?string $hold,
        #[OA\Property] public ?string $handedOver,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $there,
        #[OA\Property] public int $stepsDone,
        #[OA\Property] public int $steps,
        #[OA\Property] public string $zone,
        #[OA\Property] public string $visit,
        #[OA\Property] public ?string $stopped,
    ) {}
}
