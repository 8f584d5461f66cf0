<?php

declare(strict_types=1);

namespace App\Stores\Http;

/** A part number as it is entered or changed. */
final class PartRequest extends CommitPartsRequest
{
    public const SAYS = [
        'effectivity' => 'codes of the tails it fits; none where it fits every tail',
    ];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $new = ['number' => 'required|string|regex:/^[A-Z0-9][A-Z0-9-]{2,30}$/'];

        return [
            ...$this->route('number') === null ? $new : [],
            'title' => 'required|string|max:80',
            'place' => 'required|string|max:80',
            'one_time' => 'required|boolean',
            'effectivity' => 'present|nullable|list|min:1|max:20',
            'effectivity.*' => 'string|distinct|max:20',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['number.regex' => 'A part number is of capital letters, digits and hyphens.'];
    }

    /** @return array{title: string, place: string, one_time: bool, effectivity: list<string>|null} */
    public function fields(): array
    {
        $codes = $this->input('effectivity');

        return [
            'title' => $this->string('title')->value(),
            'place' => $this->string('place')->value(),
            'one_time' => $this->boolean('one_time'),
            'effectivity' => is_array($codes) ? array_map(strval(...), array_values($codes)) : null,
        ];
    }
}
