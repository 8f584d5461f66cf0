<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** A card goes on: what it waited for is there. */
final class GoOnRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [];
    }
}
