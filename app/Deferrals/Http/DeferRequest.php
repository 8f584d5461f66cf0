<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Do\NewDeferral;
use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** Under which listed item a finding is carried, signed. */
final class DeferRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'item' => 'required|integer',
            'position' => 'nullable|string|max:60',
            'because' => 'nullable|string|max:500',
            'placard' => 'sometimes|boolean',
            'carry' => 'sometimes|list|max:100',
            'carry.*' => 'integer',
            'sure' => 'sometimes|boolean',
            ...self::SIGNATURE,
        ];
    }

    public function deferral(): NewDeferral
    {
        $text = fn(string $field): ?string => trim($this->string($field)->value()) ?: null;

        return new NewDeferral(
            $this->integer('item'),
            $text('position'),
            $text('because'),
            $this->boolean('placard'),
            array_values(array_map(intval(...), (array) $this->input('carry', []))),
            $this->boolean('sure'),
        );
    }
}
