<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** The room Crew. */
#[OA\Schema]
final readonly class CrewView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<LapseView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LapseView::class))] public array $lapses,
        /** @var list<PersonView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PersonView::class))] public array $people,
        #[OA\Property] public ChoicesView $choices,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
        /**
         * @var list<string> planned cards of somebody whose days were just changed, and who is not there for them now
         */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $hits = [],
    ) {}
}
