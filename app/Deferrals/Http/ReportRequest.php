<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Report;
use App\Shared\Http\RoomRequest;

/** What a crew says, entered at the aircraft. */
final class ReportRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('enter', Report::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'mark' => 'required|string|exists:aircraft,mark',
            'flight' => 'nullable|string|max:20',
            'at' => 'nullable|string|max:40',
            'crew' => 'required|string|max:80',
            'text' => 'required|string|max:1000',
            'chapter' => ['nullable', 'regex:/^\d{2}(-\d{2})?$/'],
        ];
    }
}
