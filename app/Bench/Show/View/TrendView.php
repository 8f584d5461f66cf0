<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A point over time, beside the fleet. */
#[OA\Schema]
final readonly class TrendView
{
    public function __construct(
        #[OA\Property] public int $readingId,
        #[OA\Property] public string $title,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $card,
        #[OA\Property] public string $unit,
        #[OA\Property] public ?float $low,
        #[OA\Property] public ?float $high,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $trend,
        #[OA\Property] public ?string $date,
        /** @var list<TrendPointView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TrendPointView::class))] public array $points,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $changed,
        /** @var list<TrendSeriesView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TrendSeriesView::class))] public array $fleet,
        /** readings of it that there are; the latest of them are in `points` */
        #[OA\Property] public int $many,
        /** who took its date into the due list, when and why; null where it does not stand there */
        #[OA\Property] public ?string $followed,
    ) {}
}
