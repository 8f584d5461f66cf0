<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** Somebody stands at a place of a roll-call: whoever may raise a finding there. */
final class HereRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['place' => 'required|string|max:80'];
    }
}
