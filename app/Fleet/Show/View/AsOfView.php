<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** Which aircraft cannot fly on a day, and why. */
#[OA\Schema]
final readonly class AsOfView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $day,
        #[OA\Property] public string $today,
        /** the last day that can be asked for */
        #[OA\Property] public string $until,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $bases,
        /** @var list<AsOfRow> those that cannot fly first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AsOfRow::class))] public array $rows,
    ) {}
}
