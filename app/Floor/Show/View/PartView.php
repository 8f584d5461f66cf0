<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use App\Stores\Show\View\BatchView;
use OpenApi\Attributes as OA;

/** A part that a step of the card fits. */
#[OA\Schema]
final readonly class PartView
{
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public bool $oneTime,
        #[OA\Property] public bool $effective,
        #[OA\Property] public ?string $effectivity,
        /** @var list<BatchView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BatchView::class))] public array $batches,
    ) {}
}
