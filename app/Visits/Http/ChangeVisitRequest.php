<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** A change of a visit, with its reason where it has begun. */
abstract class ChangeVisitRequest extends RoomRequest
{
    protected const DAYS = [
        'title' => 'required|string|max:120', 'bay' => 'required|string|max:60',
        'start' => 'required|date_format:Y-m-d', 'end' => 'required|date_format:Y-m-d',
    ];

    protected const CARDS = ['cards' => 'required|list|min:1|max:200', 'cards.*' => 'integer'];

    protected const REASON = ['reason' => 'nullable|string|max:300'];

    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    public function reason(): ?string
    {
        $reason = trim($this->string('reason')->value());

        return $reason === '' ? null : $reason;
    }

    /** @return list<int> */
    public function cards(): array
    {
        return array_map(intval(...), array_values($this->array('cards')));
    }
}
