<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Card;
use App\Shared\Http\RoomRequest;

/** A rule that somebody opens at a finding. */
final class OpenRuleRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['rule' => 'required|integer'];
    }
}
