<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** A qualification that has lapsed or soon will, and the planned work it hits. */
#[OA\Schema]
final readonly class LapseView
{
    public function __construct(
        #[OA\Property] public int $personId,
        #[OA\Property] public string $name,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $value,
        #[OA\Property] public ?string $until,
        #[OA\Property] public ?int $days,
        #[OA\Property] public string $state,
        #[OA\Property] public string $said,
        /** @var list<HitView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HitView::class))] public array $hits,
    ) {}
}
