<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** What recorders took, and what is needed to bring more in. */
#[OA\Schema]
final readonly class RecordingsRoom
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<RecordingRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RecordingRow::class))] public array $recordings,
        /** @var list<RecorderView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RecorderView::class))] public array $recorders,
        /** @var list<RecordableView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RecordableView::class))] public array $aircraft,
        #[OA\Property] public bool $may,
        #[OA\Property(description: 'may change how a recorder is read')] public bool $mayMap,
    ) {}
}
