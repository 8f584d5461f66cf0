<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** The crew reports. */
#[OA\Schema]
final readonly class ReportsView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<CrewReportView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CrewReportView::class))] public array $reports,
        /** @var list<string> marks */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $aircraft,
        #[OA\Property] public bool $may,
    ) {}
}
