<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** A draft is thrown away; that it was there stays in the record. */
final class DiscardCardRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['version' => 'required|integer'];
    }
}
