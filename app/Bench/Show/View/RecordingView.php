<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** A recording without its samples, and what it says. */
#[OA\Schema]
final readonly class RecordingView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $mark,
        #[OA\Property] public string $recorder,
        #[OA\Property] public string $name,
        #[OA\Property] public string $begun,
        #[OA\Property] public string $by,
        #[OA\Property] public float $seconds,
        #[OA\Property] public int $samples,
        /** @var list<SignalView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SignalView::class))] public array $signals,
        /** @var list<ModeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ModeView::class))] public array $modes,
        /** @var list<GapView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: GapView::class))] public array $gaps,
        /** @var list<BeyondView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BeyondView::class))] public array $beyond,
        #[OA\Property(description: 'the signal that the changes are judged by')] public ?string $watched,
        #[OA\Property] public ?float $reference,
        #[OA\Property] public ?float $low,
        #[OA\Property] public ?float $high,
        /** @var list<ChangeOverView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChangeOverView::class))] public array $changes,
        #[OA\Property] public ?string $notJudged,
        #[OA\Property] public ?int $attemptId,
        #[OA\Property] public ?int $cardId,
    ) {}
}
