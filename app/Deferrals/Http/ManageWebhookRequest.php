<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Webhook;
use App\Shared\Http\RoomRequest;

/** Tries a webhook, revokes it, or sends a message again; nothing more is asked. */
final class ManageWebhookRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('manage', Webhook::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [];
    }
}
