<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** What is known of something that a closure waits for. */
final class ChangeNeedRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'do' => 'required|in:expected,there,drop',
            'expected' => 'nullable|date_format:Y-m-d',
        ];
    }
}
