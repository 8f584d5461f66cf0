<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** In which stay a deferral is closed. */
final class PlanClosureRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'slot' => ['required', 'string',
                'regex:/^(visit-\d{1,9}|slot-\d{1,9}@\d{4}-\d\d-\d\d|line-\d{4}-\d\d-\d\d)$/'],
        ];
    }
}
