<?php

declare(strict_types=1);

namespace App\Visits\Show\View;

use OpenApi\Attributes as OA;

/** The board of a visit: zones and time, configuration, people, and when it leaves. */
#[OA\Schema]
final readonly class BoardView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property] public string $bay,
        #[OA\Property] public string $state,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $verdict,
        #[OA\Property] public int $version,
        #[OA\Property] public float $slots,
        #[OA\Property] public ?float $now,
        #[OA\Property] public ?BoardMark $exit,
        #[OA\Property] public BoardMark $mustLeave,
        #[OA\Property] public ?string $problem,
        #[OA\Property] public string $note,
        /** @var list<BoardDay> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BoardDay::class))] public array $days,
        /** @var list<BoardBand> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BoardBand::class))] public array $bands,
        /** @var list<BoardZone> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BoardZone::class))] public array $zones,
        /** @var list<BoardPeople> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BoardPeople::class))] public array $people,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $shortages,
        /** @var list<MovedCard> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MovedCard::class))] public array $moved,
        #[OA\Property] public ?string $effect,
        #[OA\Property] public float $sooner,
        #[OA\Property] public ?PlanRunView $run,
    ) {}
}
