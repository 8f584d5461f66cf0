<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** Who might be put on a card, to work or to inspect it. */
final class CandidatesRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'role' => 'required|in:perform,duplicate',
        ];
    }
}
