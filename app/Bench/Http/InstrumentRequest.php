<?php

declare(strict_types=1);

namespace App\Bench\Http;

use Illuminate\Foundation\Http\FormRequest;

/** What an instrument sends; it shows who it is by its token. */
final class InstrumentRequest extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'readings' => 'required|array|min:1|max:100',
            'readings.*.value' => 'sometimes|nullable|numeric',
            'readings.*.unit' => 'sometimes|string|max:10',
            'readings.*.said' => 'sometimes|nullable|string|max:200',
        ];
    }
}
