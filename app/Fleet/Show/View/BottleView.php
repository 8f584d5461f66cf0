<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A bottle or an accumulator with its trend. */
#[OA\Schema]
final readonly class BottleView
{
    public function __construct(
        #[OA\Property] public int $component,
        #[OA\Property] public string $name,
        #[OA\Property] public string $partNo,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $position,
        #[OA\Property] public string $unit,
        #[OA\Property] public float $minimum,
        #[OA\Property] public float $reference,
        #[OA\Property] public string $state,
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $date,
        #[OA\Property] public ?int $days,
        #[OA\Property] public ?float $latest,
        #[OA\Property] public ?float $slope,
        #[OA\Property] public ?float $expected,
        #[OA\Property] public ?bool $leak,
        /** @var list<GaugePoint> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: GaugePoint::class))] public array $points,
        /** @var list<GaugeLine> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: GaugeLine::class))] public array $line,
        /** @var list<GaugeRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: GaugeRow::class))] public array $readings,
    ) {}
}
