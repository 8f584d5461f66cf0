<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Model\Person;
use App\Shared\Http\RoomRequest;

/** Leave, another shift, or the usual week again, for some days. */
final class DaysRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('rota', Person::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'from' => 'required|date_format:Y-m-d',
            'until' => 'required|date_format:Y-m-d',
            'do' => 'required|in:away,shift,clear',
            'shift' => 'required_if:do,shift|nullable|string|exists:shifts,code',
            'why' => 'required_unless:do,clear|nullable|string|max:100',
        ];
    }
}
