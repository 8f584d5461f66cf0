<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** A search for a shorter plan. */
final class PlanRunRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return ['seconds' => 'required|integer|min:1|max:60', 'version' => 'required|integer'];
    }
}
