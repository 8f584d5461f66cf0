<?php

declare(strict_types=1);

namespace App\Stores\Http;

use Illuminate\Validation\Rule;

/** A part number as it is entered or changed. */
final class PartRequest extends CommitPartsRequest
{
    public const SAYS = [
        'effectivity' => 'codes of the tails it fits; none where it fits every tail',
        'specification' => 'of a fluid, a grease, a sealant or a gas; none for a piece',
        'unit' => 'in which its batches are counted',
        'never' => 'systems that it must never meet',
    ];

    /** Whole ones of them are counted. */
    public const UNITS = ['mL', 'kg'];

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
            'specification' => 'sometimes|nullable|string|max:80',
            'unit' => ['sometimes', 'nullable', 'required_with:specification', Rule::in(self::UNITS)],
            'never' => 'sometimes|nullable|list|max:20',
            'never.*' => 'string|distinct|max:40',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['number.regex' => 'A part number is of capital letters, digits and hyphens.'];
    }

    /** @return array<string, mixed> */
    public function fields(): array
    {
        $codes = $this->input('effectivity');
        $never = $this->input('never');
        $specification = trim($this->string('specification')->value());

        return [
            'title' => $this->string('title')->value(),
            'place' => $this->string('place')->value(),
            'one_time' => $this->boolean('one_time'),
            'effectivity' => is_array($codes) ? array_map(strval(...), array_values($codes)) : null,
            'specification' => $specification === '' ? null : $specification,
            'unit' => $specification === '' ? null : $this->string('unit')->value(),
            'never' => is_array($never) && $never !== [] && $specification !== ''
                ? array_map(strval(...), array_values($never))
                : null,
        ];
    }
}
