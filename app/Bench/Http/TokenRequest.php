<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Shared\Http\RoomRequest;
use App\Stores\Model\Tool;

/** A token for an instrument, by whoever keeps the tools. */
final class TokenRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Tool::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [];
    }
}
