<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Finding;
use App\Shared\Http\RoomRequest;

/** A photo of a finding. */
final class PhotoRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', Finding::findOrFail((int) $this->route('id'))->card_id);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'photo' => 'required|file|max:8192',
        ];
    }
}
