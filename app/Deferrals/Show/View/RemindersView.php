<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** Who is told of what happens. */
#[OA\Schema]
final readonly class RemindersView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $note,
        /** @var array<string, string> what can be told, each with how it is said */
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'string'),
        )] public array $events,
        /** @var list<WebhookView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WebhookView::class))] public array $webhooks,
        /** @var list<DeliveryView> the newest first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DeliveryView::class))] public array $deliveries,
        #[OA\Property] public bool $may,
        #[OA\Property] public ?string $secret,
    ) {}
}
