<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** One card template, with its draft and its versions. */
#[OA\Schema]
final readonly class CardRoom
{
    public function __construct(
        #[OA\Property] public string $type,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $sentence,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: true)] public ?object $inForce,
        #[OA\Property] public ?int $version,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: true)] public ?object $draft,
        #[OA\Property] public ?int $draftId,
        #[OA\Property] public ?int $draftVersion,
        #[OA\Property] public ?string $draftState,
        #[OA\Property] public string $note,
        /** @var list<VersionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: VersionView::class))] public array $versions,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
        /** @var list<LessonView> what went wrong at it once: those to be decided first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LessonView::class))] public array $lessons,
        #[OA\Property(ref: CardChoices::class)] public CardChoices $choices,
    ) {}
}
