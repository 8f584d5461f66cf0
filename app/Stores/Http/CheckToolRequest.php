<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\RoomRequest;
use App\Stores\Model\Tool;

/** A check of a tool. */
final class CheckToolRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Tool::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'date' => 'required|date_format:Y-m-d',
            'good' => 'required|boolean',
            'note' => 'required|string|max:400',
            'cal_due' => 'sometimes|nullable|date_format:Y-m-d',
        ];
    }
}
