<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Report;
use App\Shared\Http\RoomRequest;

/** A report is a finding. */
final class ReportFindingRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('enter', Report::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'place' => 'required|string|max:200',
            'severity' => 'required|in:minor,major,critical',
        ];
    }
}
