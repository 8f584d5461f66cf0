<?php

declare(strict_types=1);

namespace App\Floor;

use App\Shared\Http\RoomRequest;

/** A finding: where, and how far it goes. */
final class RaiseRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'place' => 'required|string|max:200',
            'extent' => 'required|string|max:1000',
        ];
    }
}
