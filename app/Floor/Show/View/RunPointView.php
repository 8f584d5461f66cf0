<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A point in a round of rigging: what was read, and what it should read next. */
#[OA\Schema]
final readonly class RunPointView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public float $read,
        #[OA\Property] public bool $within,
        /** whether it does not fit what went before */
        #[OA\Property] public bool $doubted,
        #[OA\Property] public ?float $next,
        /** two standard deviations of the next reading */
        #[OA\Property] public ?float $sure,
        /** the chance that it is then within, in words; '' where that is not known */
        #[OA\Property] public string $chance,
    ) {}
}
