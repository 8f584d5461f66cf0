<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Finding;

/** A photo of a finding. */
final class PhotoRequest extends CardRequest
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
