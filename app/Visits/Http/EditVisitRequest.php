<?php

declare(strict_types=1);

namespace App\Visits\Http;

/** A visit's title, days and bay. */
final class EditVisitRequest extends ChangeVisitRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [...self::DAYS, ...self::REASON];
    }
}
