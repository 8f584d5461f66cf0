<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Card;
use App\Shared\Http\RoomRequest;

/** A file of a recorder, to be looked at or recorded. */
final class RecorderRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['text' => 'required|string|max:400000'];
    }
}
