<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** Under which listed item a finding is carried, signed. */
final class DeferRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'item' => 'required|integer|exists:listed_items,id',
            'safed' => 'required|boolean',
            'carry_safing' => 'sometimes|boolean',
            ...self::SIGNATURE,
        ];
    }
}
