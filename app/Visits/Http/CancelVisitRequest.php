<?php

declare(strict_types=1);

namespace App\Visits\Http;

/** Why a visit is cancelled. */
final class CancelVisitRequest extends ChangeVisitRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return ['reason' => 'required|string|max:300'];
    }
}
