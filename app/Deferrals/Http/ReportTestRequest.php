<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Report;
use App\Shared\Http\RoomRequest;

/** Which test is made because of a report. */
final class ReportTestRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('decide', Report::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'template' => 'required|string|max:40',
        ];
    }
}
