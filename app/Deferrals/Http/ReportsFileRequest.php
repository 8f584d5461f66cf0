<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Report;
use App\Shared\Http\RoomRequest;

/** Crew reports as a file, or from the flying programme where there is none; to be looked at, or entered. */
final class ReportsFileRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('enter', Report::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'text' => 'nullable|string|max:400000',
            'enter' => 'required|boolean',
        ];
    }
}
