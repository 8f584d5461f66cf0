<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Model\Person;
use App\Shared\Http\RoomRequest;

/** A second person vouches, with stamp and PIN, that somebody is who they say. */
final class PinCodeRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('vouch', Person::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return self::SIGNATURE;
    }
}
