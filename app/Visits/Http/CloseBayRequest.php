<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Day;

/** Days on which a bay is closed. */
final class CloseBayRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'start' => 'required|date_format:Y-m-d',
            'end' => 'required|date_format:Y-m-d',
            'why' => 'required|string|max:120',
        ];
    }

    public function day(string $field): Day
    {
        return Day::parse($this->string($field)->value());
    }
}
