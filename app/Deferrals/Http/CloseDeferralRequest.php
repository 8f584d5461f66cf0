<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** How a defect was put right, signed: the log is closed. */
final class CloseDeferralRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'how' => 'required|string|max:500',
            ...self::SIGNATURE,
        ];
    }
}
