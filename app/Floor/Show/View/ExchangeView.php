<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A unit that a step exchanges: what stands there, what came off, what may go on. */
#[OA\Schema]
final readonly class ExchangeView
{
    public function __construct(
        /** what stands there now, as Fleet has it */
        #[OA\Property] public ?string $there,
        /** what came off: its name, tag, where it went, by whom */
        #[OA\Property] public ?string $off,
        /** @var list<string> serials in the store that go there */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $stored,
    ) {}
}
