<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A stretch of a recording as it is drawn: the lowest and the highest of each signal in each step of the width. */
#[OA\Schema]
final readonly class ThinnedView
{
    public function __construct(
        /** @var list<float> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $t,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(
            type: 'array',
            items: new OA\Items(type: 'number'),
        ))] public object $low,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(
            type: 'array',
            items: new OA\Items(type: 'number'),
        ))] public object $high,
    ) {}
}
