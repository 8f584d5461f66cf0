<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** Something done on a card by somebody who works it. */
final class OnCardRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('work', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
        ];
    }
}
