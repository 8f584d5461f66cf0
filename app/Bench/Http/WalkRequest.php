<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Floor\Model\Card;
use App\Shared\Http\RoomRequest;

/** An answer on the way through a fault tree, or the last one taken back. */
final class WalkRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'version' => 'required|integer|min:1',
            'do' => 'required|in:answer,back,card',
            'answer' => 'sometimes|nullable|string|max:40',
            'note' => 'sometimes|nullable|string|max:300',
        ];
    }
}
