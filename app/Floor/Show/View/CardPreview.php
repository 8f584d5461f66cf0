<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use App\Library\Show\View\FigureView;
use OpenApi\Attributes as OA;

/** A card that is being written, as the technician would get it. */
#[OA\Schema]
final readonly class CardPreview
{
    public function __construct(
        /** @var list<FaultView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FaultView::class))] public array $faults,
        /** @var list<string> what it leaves behind it */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $leaves,
        /** @var list<StepView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StepView::class))] public array $steps,
        /** @var list<string> the same steps as they stand on paper, lines apart */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $paper,
        /** @var list<string> where each is written: "3", or "3.1" inside a block */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $places,
        /** @var list<FigureView> that its steps show */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FigureView::class))] public array $figures,
    ) {}
}
