<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Card;
use App\Shared\Http\RoomRequest;

/** A damage is blended or repaired, or was none. */
final class SettleDamageRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['how' => 'required|in:blended,repaired,mistake', 'note' => 'required|string|min:3|max:200'];
    }
}
