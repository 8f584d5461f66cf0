<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** What the closure of a deferral waits for. */
final class NeedRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'kind' => 'required|in:part,tool,people,answer',
            'what' => 'required|string|max:160',
            'quantity' => 'sometimes|integer|min:1|max:1000',
            'expected' => 'nullable|date_format:Y-m-d',
        ];
    }
}
