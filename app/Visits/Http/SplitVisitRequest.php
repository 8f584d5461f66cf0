<?php

declare(strict_types=1);

namespace App\Visits\Http;

/** Cards that become a visit of their own. */
final class SplitVisitRequest extends ChangeVisitRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [...self::CARDS, ...self::DAYS, ...self::REASON];
    }
}
