<?php

declare(strict_types=1);

namespace App\Stores;

use App\Shared\Http\RoomRequest;

/** A tool goes away for calibration, or out of use. */
final class ToolStateRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('keep', Tool::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['do' => 'required|in:away,gone', 'why' => 'required|string|max:200'];
    }
}
