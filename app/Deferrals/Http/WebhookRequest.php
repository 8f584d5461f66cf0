<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Webhook;
use App\Shared\Http\RoomRequest;
use Illuminate\Validation\Rule;

/** A new webhook: what for, where to, and what it is told of. */
final class WebhookRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('manage', Webhook::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'required|string|max:60',
            'address' => 'required|string|max:400|url:http,https',
            'events' => 'required|list|min:1',
            'events.*' => ['required', 'string', 'distinct', Rule::in(array_keys(Webhook::EVENTS))],
        ];
    }

    /** @return list<string> */
    public function events(): array
    {
        return array_values(array_map(strval(...), (array) $this->input('events')));
    }
}
