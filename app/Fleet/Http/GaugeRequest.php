<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;

/** A gauge reading. */
final class GaugeRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('read', Fleet::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'date' => 'required|date_format:Y-m-d',
            'pressure' => 'required|numeric',
            'temp_c' => 'required|numeric|between:-60,70',
            'replaced' => 'boolean',
        ];
    }
}
