<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;

/** Where a component goes: onto an aircraft, or (no mark) into the store. */
final class MoveComponentRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Fleet::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'mark' => 'nullable|string',
            'position' => 'required|string|max:60',
            'reason' => 'required|string|min:3|max:200',
            ...self::SIGNATURE,
        ];
    }
}
