<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** Somebody for a card, in a role. */
final class AssignRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'person' => 'required|integer|exists:people,id',
            'role' => 'required|in:perform,duplicate,trainee',
            'remove' => 'sometimes|boolean',
        ];
    }
}
