<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** Somebody at the aircraft says that they are at a card: whoever may raise a finding there. */
final class AtCardRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [];
    }
}
