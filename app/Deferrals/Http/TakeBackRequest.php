<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** Why a deferral is taken back before it begins. */
final class TakeBackRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'why' => 'required|string|max:500',
        ];
    }
}
