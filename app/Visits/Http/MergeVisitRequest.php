<?php

declare(strict_types=1);

namespace App\Visits\Http;

/** The visit into which another one goes. */
final class MergeVisitRequest extends ChangeVisitRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return ['into' => 'required|integer', ...self::REASON];
    }
}
