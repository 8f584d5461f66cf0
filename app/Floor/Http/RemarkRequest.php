<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** A word added at a step. */
final class RemarkRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['text' => 'required|string|min:2|max:500'];
    }
}
