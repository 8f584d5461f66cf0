<?php

declare(strict_types=1);

namespace App\Shared\Http;

/** A request that any signed-in person may make. */
final class ViewRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [];
    }
}
