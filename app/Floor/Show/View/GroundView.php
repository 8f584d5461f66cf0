<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** The ground runs that a rigging sheet is read in. */
#[OA\Schema]
final readonly class GroundView
{
    public function __construct(
        #[OA\Property(description: 'Of the one that goes on, or would be next')] public int $no,
        #[OA\Property] public int $budget,
        #[OA\Property(description: 'What it costs, and that it is more than were meant')] public string $said,
        /** since when it goes on and who is where; null between runs */
        #[OA\Property] public ?string $running,
        #[OA\Property] public ?int $attemptId,
        /** @var list<string> who is called before it */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $places,
        #[OA\Property] public ?string $stop,
        /** @var list<WatchedView> what is watched all the time */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WatchedView::class))] public array $limits,
        /** why the last one was broken off, where it was */
        #[OA\Property] public ?string $broken,
    ) {}
}
