<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** The briefing of a roll-call, signed by whoever stands where it is signed. */
final class BriefedRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return self::SIGNATURE;
    }
}
