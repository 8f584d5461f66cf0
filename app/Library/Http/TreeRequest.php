<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** A fault tree as JSON. What is wrong with it is told by the core, each at its place. */
final class TreeRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'text' => 'required|string|max:60000',
            'reason' => 'sometimes|nullable|string|max:500',
            'version' => 'sometimes|nullable|integer|min:1',
        ];
    }
}
