<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** A place to be filled on a shift. */
#[OA\Schema]
final readonly class SlotView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public ?int $cardId,
        #[OA\Property] public string $number,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $title,
        #[OA\Property] public string $role,
        #[OA\Property] public ?string $skill,
        #[OA\Property] public string $from,
        #[OA\Property] public string $until,
        #[OA\Property] public float $hours,
        #[OA\Property] public ?int $person,
        #[OA\Property] public ?string $conflict,
        /** @var list<SlotCandidate> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SlotCandidate::class))] public array $candidates,
    ) {}
}
