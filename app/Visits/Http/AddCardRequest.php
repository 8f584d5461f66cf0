<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** A card of the Library for a visit. */
final class AddCardRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['template' => 'required|integer|min:1'];
    }
}
