<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** A rule is withdrawn, with the reason. */
final class WithdrawFollowRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['why' => 'required|string|min:3|max:300'];
    }
}
