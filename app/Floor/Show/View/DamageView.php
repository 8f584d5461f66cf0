<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** One damage on the map, as it was last looked at. */
#[OA\Schema]
final readonly class DamageView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $place,
        #[OA\Property(type: 'object', additionalProperties: true)] public object $spot,
        #[OA\Property(enum: ['clear', 'watch', 'stop', 'waiting'])] public string $state,
        #[OA\Property] public string $word,
        /** its size, in words */
        #[OA\Property] public string $size,
        /** what is allowed, or what of it is not */
        #[OA\Property] public string $allowed,
        #[OA\Property] public ?string $growth,
        /** by when it is looked at again */
        #[OA\Property] public ?string $again,
        #[OA\Property] public ?string $finding,
        #[OA\Property] public ?int $findingId,
        #[OA\Property] public bool $open,
        /** @var list<string> look by look, the last first */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $looks,
        /** it was looked at from the card that is asked from */
        #[OA\Property] public bool $here,
    ) {}
}
