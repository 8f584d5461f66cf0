<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * One message to a webhook, and what became of it.
 *
 * @property int $id
 * @property int $webhook_id
 * @property string $key what it tells of, so that nobody is told twice
 * @property string $event
 * @property string $body JSON, as it is sent and signed
 * @property Instant $made_at
 * @property int $tries
 * @property int|null $next seconds since 1970 of the application's clock; null when there is nothing more to try
 * @property Instant|null $done_at
 * @property string $answer what was answered last, or why nothing was
 * @property-read Webhook $webhook
 */
final class WebhookDelivery extends Model
{
    protected $casts = ['made_at' => AsInstant::class, 'done_at' => AsInstant::class];

    /** @return BelongsTo<Webhook, $this> */
    public function webhook(): BelongsTo
    {
        return $this->belongsTo(Webhook::class);
    }
}
