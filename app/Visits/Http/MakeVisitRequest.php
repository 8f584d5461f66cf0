<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Do\NewVisit;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Day;

/** A new visit: which aircraft, where, when, and which due items. */
final class MakeVisitRequest extends RoomRequest
{
    public const SAYS = [
        'items' => 'keys of due rows',
    ];

    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'mark' => 'required|string',
            'title' => 'required|string|max:120',
            'bay' => 'required|string|max:60',
            'start' => 'required|date_format:Y-m-d',
            'end' => 'required|date_format:Y-m-d',
            'items' => 'required|list|min:1',
            'items.*' => ['regex:/^\d+(:\d+)?$/'],
        ];
    }

    public function visit(): NewVisit
    {
        return new NewVisit(
            $this->string('mark')->value(),
            $this->string('title')->value(),
            $this->string('bay')->value(),
            Day::parse($this->string('start')->value()),
            Day::parse($this->string('end')->value()),
            array_values(array_map(strval(...), $this->array('items'))),
        );
    }
}
