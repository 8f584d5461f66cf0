<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;

/** Whether the date of a trend stands in the due list, and why. */
final class FollowTrendRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Fleet::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['follow' => 'required|boolean', 'why' => 'required|string|max:500'];
    }
}
