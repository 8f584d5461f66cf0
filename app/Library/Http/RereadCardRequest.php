<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Floor\Http\CardRequest;
use App\Library\Model\CardTemplate;

/** A card read again, by somebody who works it or answers for it. */
final class RereadCardRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('reread', CardTemplate::class)
            || $this->mayOnCard('work', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'version' => 'required|integer',
            'outcome' => 'required|in:stands,new',
            'note' => 'required|string|max:2000',
        ];
    }
}
