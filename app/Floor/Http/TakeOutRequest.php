<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** A tool by its code, or a count of small things. */
final class TakeOutRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('work', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'tool' => 'required_without:what|nullable|string|max:40',
            'what' => 'required_without:tool|nullable|string|max:80',
            'quantity' => 'required_with:what|integer|min:1|max:1000',
        ];
    }
}
