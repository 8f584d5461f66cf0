<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\RoomRequest;
use App\Stores\Model\Tool;

/** A tool goes away for calibration, or out of use. */
final class ToolStateRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Tool::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['do' => 'required|in:away,gone', 'why' => 'required|string|max:200'];
    }
}
