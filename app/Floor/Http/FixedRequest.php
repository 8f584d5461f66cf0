<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Finding;
use App\Shared\Http\RoomRequest;

/** What was done about a finding, signed. */
final class FixedRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('work', Finding::findOrFail((int) $this->route('id'))->card_id);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'how' => 'required|string|max:1000',
            'stamp' => 'required|string|max:20',
            'pin' => 'required|string|max:20',
        ];
    }
}
