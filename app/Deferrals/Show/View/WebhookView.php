<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** An address that is told. */
#[OA\Schema]
final readonly class WebhookView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $host,
        /** @var list<string> in words */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $events,
        #[OA\Property] public string $whose,
        #[OA\Property] public string $made,
        #[OA\Property] public ?string $revoked,
        #[OA\Property] public string $state,
        #[OA\Property] public string $word,
    ) {}
}
