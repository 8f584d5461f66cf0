<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** An attempt at a functional test as it was. */
#[OA\Schema]
final readonly class AttemptDetail
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $title,
        #[OA\Property] public string $mark,
        #[OA\Property] public int $cardId,
        #[OA\Property] public string $card,
        #[OA\Property] public int $no,
        #[OA\Property] public string $look,
        #[OA\Property] public string $word,
        #[OA\Property] public string $begun,
        #[OA\Property] public ?string $ended,
        #[OA\Property] public ?string $broken,
        #[OA\Property] public bool $stands,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $conditions,
        /** @var list<AttemptStepView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AttemptStepView::class))] public array $steps,
        /** @var list<RecordingRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RecordingRow::class))] public array $recordings,
        #[OA\Property] public ?int $findingId,
        #[OA\Property] public ?string $finding,
    ) {}
}
