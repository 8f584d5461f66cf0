<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** Something that was disturbed and is not joined, or not proven since, with what rests on what. */
#[OA\Schema]
final readonly class NotWholeView
{
    public function __construct(
        #[OA\Property] public string $what,
        #[OA\Property] public bool $apart,
        #[OA\Property] public string $said,
        /** @var list<string> what happened to it, in order */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $chain,
        /** @var list<string> what is still to show that it is whole */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $missing,
        #[OA\Property] public string $link,
    ) {}
}
