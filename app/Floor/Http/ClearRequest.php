<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** Somebody called clear of a card: by themselves, or by anybody who sees that they are gone. */
final class ClearRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'person' => 'required|integer',
        ];
    }
}
