<?php

declare(strict_types=1);

namespace App\Visits\Http;

/** Due items for a visit. */
final class PutInRequest extends ChangeVisitRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return ['items' => 'required|list|min:1|max:200', 'items.*' => ['regex:/^\\d+(:\\d+)?$/'], ...self::REASON];
    }
}
