<?php

declare(strict_types=1);

namespace App\Visits\Http;

/** Cards that leave a visit. */
final class TakeOutRequest extends ChangeVisitRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [...self::CARDS, ...self::REASON];
    }
}
