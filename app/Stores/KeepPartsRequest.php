<?php

declare(strict_types=1);

namespace App\Stores;

use App\Shared\Http\RoomRequest;

/** A request of whoever keeps the parts. */
class KeepPartsRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('keep', Part::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }
}
