<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A rule that somebody may open by hand at a finding, or whose limit may be exceeded. */
#[OA\Schema]
final readonly class RulePick
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $type,
        /** of a limit: in words, its unit and its positions */
        #[OA\Property] public string $limit = '',
        #[OA\Property] public string $unit = '',
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $positions = [],
    ) {}
}
