<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** Another judgement of a visit's windows. */
final class WindowRequest extends RoomRequest
{
    public const SAYS = [
        'prior' => 'null for the history of the type',
    ];

    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'look_until' => 'present|nullable|date_format:Y-m-d',
            'prior' => 'present|nullable|array',
            'prior.per_hundred' => 'required_with:prior|numeric|gt:0|max:1000',
            'prior.worth_hours' => 'required_with:prior|numeric|gt:0|max:10000',
            'reason' => 'required|string|max:300',
        ];
    }
}
