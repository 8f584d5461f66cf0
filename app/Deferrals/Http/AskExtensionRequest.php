<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** How many days more are asked for a deferral, and why. */
final class AskExtensionRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['days' => 'required|integer|min:1|max:400', 'reason' => 'required|string|max:300'];
    }
}
