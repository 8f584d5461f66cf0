<?php

declare(strict_types=1);

namespace App\Floor;

use App\Shared\Http\RoomRequest;

/** A signature on a card: stamp and PIN, entered again. */
final class SignRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard(str_ends_with($this->path(), '/inspect') ? 'inspect' : 'work', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'version' => 'required|integer',
            'stamp' => 'required|string|max:20',
            'pin' => 'required|string|max:20',
            'spent' => 'sometimes|nullable|numeric|gt:0|max:1000',
        ];
    }
}
