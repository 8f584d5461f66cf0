<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A card template that cites the manual. */
#[OA\Schema]
final readonly class MarkedTemplate
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $section,
        #[OA\Property] public int $revision,
        #[OA\Property] public string $method,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $fleets,
        #[OA\Property] public bool $marked,
        #[OA\Property] public bool $stays,
        #[OA\Property] public ?string $proposed,
        #[OA\Property] public bool $mayBoth,
        /** @var list<string> its steps as they are; empty unless it is marked and a method is proposed */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $stepsNow,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $stepsProposed,
        #[OA\Property] public ?string $textState,
        #[OA\Property] public ?string $reread,
        /** @var list<DiffPiece> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DiffPiece::class))] public array $pieces,
        /** @var list<string> warnings of the old text that the new one has not: each is acknowledged */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $lost,
        /** @var list<string> figures that its steps hold and the passage no longer says */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $contradicts,
    ) {}
}
