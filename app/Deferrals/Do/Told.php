<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Deferrals\Model\Webhook;
use App\Deferrals\Model\WebhookDelivery;
use Jorvel\Core\Shared\Instant;

/** A message that is to be sent: written once for what it tells of, whatever is found again. */
final class Told
{
    /**
     * @param string $key what it tells of, e.g. `record:812`
     * @param array<string, mixed> $what `said`, `link` and more
     */
    public static function one(Webhook $hook, string $key, string $event, array $what, Instant $now): void
    {
        WebhookDelivery::insertOrIgnore([[
            'webhook_id' => $hook->id, 'key' => $key, 'event' => $event, 'made_at' => (string) $now,
            'next' => $now->epoch(),
            'body' => json_encode(
                ['event' => $event, 'key' => $key, 'at' => (string) $now, ...$what],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
        ]]);
    }
}
