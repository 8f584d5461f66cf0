<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Report;
use App\Shared\Http\RoomRequest;

/** Of which chapter a report is. */
final class SortReportRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('enter', Report::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'chapter' => ['required', 'regex:/^\d{2}(-\d{2})?$/'],
        ];
    }
}
