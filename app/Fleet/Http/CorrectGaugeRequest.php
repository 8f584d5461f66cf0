<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;

/** A gauge reading put right, or (no numbers) taken back. */
final class CorrectGaugeRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('read', Fleet::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'pressure' => 'nullable|numeric|required_with:temp_c',
            'temp_c' => 'nullable|numeric|between:-60,70|required_with:pressure',
            'reason' => 'required|string|min:3|max:200',
        ];
    }
}
