<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Do\FlyingFeed;
use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;

/** What the flying programme is to send: hours flown or sectors to come, and with which fault, for trying out. */
final class FeedRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Fleet::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'what' => 'required|in:flown,sectors', 'fault' => 'in:'.implode(',', FlyingFeed::FAULTS),
        ];
    }
}
