<?php

declare(strict_types=1);

namespace App\Visits\Http;

/** A search for a season. */
final class ProposeSeasonRequest extends SeasonRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'seconds' => 'required|integer|min:1|max:60',
            'anew' => 'required|boolean',
            'mark' => 'present|nullable|string|exists:aircraft,mark',
        ];
    }
}
