<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** A card handed over, in words. */
final class HandOverRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('work', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'version' => 'required|integer',
            'said' => 'required|string|max:2000',
        ];
    }
}
