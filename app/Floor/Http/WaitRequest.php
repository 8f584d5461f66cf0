<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Stoppage;
use Illuminate\Validation\Rule;

/** What a card waits for. */
final class WaitRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(Stoppage::KINDS)],
            'what' => 'required|string|min:2|max:200',
            'step' => 'sometimes|nullable|integer|min:1',
        ];
    }
}
