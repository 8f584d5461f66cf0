<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Show\Events;
use App\Shared\Http\RoomRequest;
use Illuminate\Validation\Rule;

/** What is counted, by what, over how many days; and of which row the events are wanted. */
final class ReliabilityRequest extends RoomRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'what' => ['string', Rule::in(Events::WHAT)], 'by' => ['string', Rule::in(Events::BY)],
            'days' => 'integer|between:1,1000', 'key' => 'nullable|string|max:60',
        ];
    }

    public function what(): string
    {
        return $this->string('what', 'reports')->value();
    }

    public function by(): string
    {
        return $this->string('by', 'system')->value();
    }

    public function days(): int
    {
        return $this->integer('days', 90);
    }
}
