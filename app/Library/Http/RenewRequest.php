<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Floor\Http\CardRequest;

/** A card takes the text in force: whoever works it, or plans the visit. */
final class RenewRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['version' => 'required|integer'];
    }
}
