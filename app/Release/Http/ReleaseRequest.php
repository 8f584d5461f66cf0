<?php

declare(strict_types=1);

namespace App\Release\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** A certifier's signature. */
final class ReleaseRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('release', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            ...self::SIGNATURE,
        ];
    }
}
