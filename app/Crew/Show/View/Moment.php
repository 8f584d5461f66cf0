<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** The line across the top. */
#[OA\Schema]
final readonly class Moment
{
    public function __construct(
        #[OA\Property] public string $now,
        #[OA\Property] public string $zone,
        #[OA\Property] public string $base,
        #[OA\Property] public string $shift,
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'integer'),
        )] public object $waiting,
        /** @var list<NoticeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NoticeView::class))] public array $notices,
    ) {}
}
