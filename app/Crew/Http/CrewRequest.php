<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Model\Person;

/** A crew for a shift: person by slot. */
final class CrewRequest extends ShiftRequest
{
    public const SAYS = [
        'places' => 'person by slot',
    ];

    public function authorize(): bool
    {
        return $this->person()->can('rota', Person::class);
    }

    public function rules(): array
    {
        return [
            'base' => 'required|string|max:60',
            'date' => 'required|date_format:Y-m-d',
            'shift' => 'required|string|max:20',
            'version' => 'sometimes|integer',
            'fill' => 'sometimes|boolean',
            'places' => 'present|array|max:500',
            'places.*' => 'integer',
        ];
    }

    /** @return array<array-key, int> */
    public function places(): array
    {
        return array_map(intval(...), $this->array('places'));
    }
}
