<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** One programme item on an aircraft, or on a component fitted to it. */
#[OA\Schema]
final readonly class DueView
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $state,
        #[OA\Property] public string $status,
        #[OA\Property] public ?string $date,
        #[OA\Property] public ?int $days,
        #[OA\Property] public string $remaining,
        #[OA\Property] public string $rule,
        #[OA\Property] public string $rebase,
        #[OA\Property] public ?string $lastDone,
        #[OA\Property] public float $hours,
        #[OA\Property] public string $card,
        #[OA\Property] public ?string $component,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $access,
        #[OA\Property] public ?string $visit,
        /** @var list<LimitView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LimitView::class))] public array $limits,
        /** the latest reading of a trend that was taken into the list */
        #[OA\Property] public ?int $readingId = null,
    ) {}
}
