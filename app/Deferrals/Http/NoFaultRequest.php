<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Report;
use App\Shared\Http\RoomRequest;

/** No fault found, and the card whose test says so. */
final class NoFaultRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('decide', Report::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'card' => 'required|integer',
            'said' => 'required|string|max:500',
        ];
    }
}
