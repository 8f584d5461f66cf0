<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A manual with its revisions, what they changed, and what waits to be re-read. */
#[OA\Schema]
final readonly class ManualRoom
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public int $revision,
        #[OA\Property] public string $sentence,
        /** @var list<RevisionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RevisionView::class))] public array $revisions,
        /** @var list<PassageView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PassageView::class))] public array $passages,
        /** @var list<MarkedTemplate> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MarkedTemplate::class))] public array $templates,
        /** @var list<MarkedCard> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MarkedCard::class))] public array $cards,
        /** @var list<QuestionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: QuestionView::class))] public array $questions,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $fleets,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
    ) {}
}
