<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Shared\Http\RoomRequest;

/** Phased fleets over the coming weeks, one of them perhaps with another flying task, hours a week. */
final class StaggerRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'weeks' => 'integer|between:1,12',
            'fleet' => 'string|required_with:task',
            'task' => 'numeric|between:0,5000',
        ];
    }
}
