<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** What somebody can be entered as. */
#[OA\Schema]
final readonly class ChoicesView
{
    public function __construct(
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $roles,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $bases,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $shifts,
        /** @var list<SupervisorView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SupervisorView::class))] public array $supervisors,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $skills,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $types,
        /** @var list<string> authorities that are held once a second person has confirmed them */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $confirmed,
    ) {}
}
