<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** What a point read before, to be looked at beside the field. */
#[OA\Schema]
final readonly class BesideView
{
    public function __construct(
        #[OA\Property] public string $point,
        /** the last ones here, latest first: "14.2 on 3 Mar"; empty where it was never read */
        #[OA\Property] public string $here,
        /** the latest of another aircraft: "QA-VFC 14" */
        #[OA\Property] public string $sister,
        /** what the fleet's last ones lie between: "13.4 to 14.8" */
        #[OA\Property] public string $fleet,
    ) {}
}
