<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** A card that fixes a finding. */
final class FixCardRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return ['hours' => 'required|numeric|gt:0|max:1000'];
    }
}
