<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;

/** The placard is off. */
final class PlacardOffRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('unplacard', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [

        ];
    }
}
