<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** How the files of a recorder are read, as JSON. */
final class MapRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['text' => 'required|string|max:20000', 'version' => 'required|integer|min:1'];
    }
}
