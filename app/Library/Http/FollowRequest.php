<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** A rule of what follows, as far as it is written. Its faults are told by the core, each at its place. */
final class FollowRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'body' => 'required|array|max:10',
            'reason' => 'sometimes|nullable|string|max:200',
            'version' => 'sometimes|nullable|integer|min:1',
        ];
    }

    /** As it was sent: an empty list stays one. */
    public function body(): \stdClass
    {
        $sent = json_decode($this->getContent(), false, 64);
        $body = $sent->body ?? null;

        return $body instanceof \stdClass ? $body : new \stdClass;
    }
}
