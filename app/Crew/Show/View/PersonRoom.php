<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use OpenApi\Attributes as OA;

/** Somebody with all that is kept about them. */
#[OA\Schema]
final readonly class PersonRoom
{
    public function __construct(
        #[OA\Property] public PersonView $person,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $login,
        #[OA\Property] public int $version,
        /** @var list<int> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $weekdays,
        #[OA\Property] public ?int $supervisorId,
        #[OA\Property] public ?string $leaves,
        #[OA\Property] public bool $ownPin,
        /** @var list<QualificationAsked> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: QualificationAsked::class))] public array $qualifications,
        /** @var list<WaitingView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WaitingView::class))] public array $waiting,
        /** @var list<LapseView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LapseView::class))] public array $lapses,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $rest,
        /** @var list<EntryView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: EntryView::class))] public array $entries,
        #[OA\Property] public ChoicesView $choices,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
    ) {}
}
