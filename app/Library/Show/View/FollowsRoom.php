<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** The rules of what follows, of every type. */
#[OA\Schema]
final readonly class FollowsRoom
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<FollowRuleView> in force and proposed */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FollowRuleView::class))] public array $rules,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $types,
        /** @var list<string> of readings */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $units,
        #[OA\Property] public bool $may,
    ) {}
}
