<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** The look and fix windows of a visit. */
#[OA\Schema]
final readonly class WindowView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $verdict,
        #[OA\Property] public string $lookUntil,
        #[OA\Property] public bool $lookSet,
        #[OA\Property] public string $fixUntil,
        #[OA\Property] public float $lookDone,
        #[OA\Property] public float $lookLeft,
        #[OA\Property] public int $found,
        #[OA\Property] public float $expectedMore,
        #[OA\Property] public int $low,
        #[OA\Property] public int $high,
        #[OA\Property] public float $openFix,
        #[OA\Property] public float $expectedFix,
        #[OA\Property] public float $capacity,
        #[OA\Property] public float $otherWork,
        #[OA\Property] public float $personHours,
        #[OA\Property] public float $chance,
        #[OA\Property] public float $perHundred,
        #[OA\Property] public float $worthHours,
        #[OA\Property] public float $medianFix,
        #[OA\Property] public ?string $byHand,
        /** @var list<WindowDay> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WindowDay::class))] public array $days,
        /** @var list<LeverView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LeverView::class))] public array $levers,
        /** @var list<PastLookView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PastLookView::class))] public array $past,
    ) {}
}
