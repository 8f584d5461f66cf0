<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** A rule of what follows: the version in force, or one that is proposed. */
#[OA\Schema]
final readonly class FollowRuleView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $type,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $source,
        #[OA\Property] public int $version,
        /** the latest version of this code, which a writer changes */
        #[OA\Property] public int $latest,
        #[OA\Property] public string $state,
        #[OA\Property] public string $word,
        #[OA\Property(enum: ['found', 'exceeded'])] public string $of,
        #[OA\Property] public string $when,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $then,
        #[OA\Property(type: 'object', additionalProperties: true)] public object $body,
        #[OA\Property] public string $by,
        #[OA\Property] public string $reason,
        #[OA\Property] public ?string $decided,
        /** it is proposed, and somebody else decides */
        #[OA\Property] public bool $mine,
        #[OA\Property] public bool $proposed,
    ) {}
}
