<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use OpenApi\Attributes as OA;

/** The room Stores. */
#[OA\Schema]
final readonly class StoresView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $partsSentence,
        #[OA\Property] public string $outSentence,
        /** @var list<StoreTool> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoreTool::class))] public array $tools,
        /** @var list<StorePart> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StorePart::class))] public array $parts,
        /** @var list<LoanRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LoanRow::class))] public array $out,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
    ) {}
}
