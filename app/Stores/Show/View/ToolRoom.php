<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** One tool: its checks, where it is, and what rests on it when it is recalled. */
#[OA\Schema]
final readonly class ToolRoom
{
    public function __construct(
        #[OA\Property] public StoreTool $tool,
        #[OA\Property] public string $sentence,
        /** @var list<CheckLine> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckLine::class))] public array $checks,
        #[OA\Property(ref: RecallView::class, nullable: true)] public ?RecallView $recall,
        #[OA\Property] public bool $inUse,
        #[OA\Property] public bool $away,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
    ) {}
}
