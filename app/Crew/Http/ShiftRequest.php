<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Model\ShiftHours;
use App\Shared\Clock;
use App\Shared\Http\RoomRequest;
use Jorvel\Core\Shared\Day;

/** A shift of a base on a day; now, at one's own base, where nothing is said. */
class ShiftRequest extends RoomRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'base' => 'sometimes|nullable|string|max:60',
            'date' => 'sometimes|nullable|date_format:Y-m-d|after:2000-01-01|before:2100-01-01',
            'shift' => 'sometimes|nullable|string|max:20',
        ];
    }

    public function base(): string
    {
        return $this->filled('base') ? $this->string('base')->value() : $this->person()->base;
    }

    public function day(): Day
    {
        return $this->filled('date') ? Day::parse($this->string('date')->value()) : app(Clock::class)->today();
    }

    public function shift(): string
    {
        if ($this->filled('shift')) {
            return $this->string('shift')->value();
        }
        $clock = app(Clock::class);
        $now = $clock->time($clock->now());
        $shifts = ShiftHours::byCode();
        foreach ($shifts as $code => $hours) {
            if ($now < $hours->until) {
                return $code;
            }
        }

        return (string) array_key_first($shifts);
    }
}
