<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** By how many days a deferral is extended, why and under which approval, signed. */
final class ExtendRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'days' => 'required|integer|min:1|max:400',
            'reason' => 'required|string|max:500',
            'approval' => 'required|string|max:80',
            ...self::SIGNATURE,
        ];
    }
}
