<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** What a rule would do as it is written now. */
#[OA\Schema]
final readonly class FollowPreview
{
    public function __construct(
        /** where something is wrong, as `then.0.card` */
        #[OA\Property] public ?string $at,
        #[OA\Property] public ?string $fault,
        #[OA\Property] public ?string $when,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $then,
        /** of what was found before, in words */
        #[OA\Property] public string $past,
        /** @var list<string> the latest findings that it would have held for */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $found,
    ) {}
}
