<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\StepInput;

/** Points of a round, seen or taken back. */
final class PointRequest extends CardRequest
{
    public const SAYS = ['entries' => 'what was entered, by the id of the point'];

    public function authorize(): bool
    {
        return $this->mayOnCard('work', (int) $this->route('id'));
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'do' => 'required|in:point,point_back',
            'entries' => 'required|array|max:600',
            'entries.*' => 'nullable|string|max:40',
            'tool' => 'sometimes|nullable|string|max:40',
            'note' => 'sometimes|nullable|string|max:500',
        ];
    }

    public function step(): StepInput
    {
        return new StepInput(
            version: 0,
            do: $this->string('do')->value(),
            entries: array_map(strval(...), $this->array('entries')),
            tool: $this->string('tool')->value(),
            note: trim($this->string('note')->value()),
        );
    }
}
