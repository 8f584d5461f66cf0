<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\RoomRequest;
use App\Stores\Model\Part;

/** A request of whoever keeps the parts. */
class CommitPartsRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Part::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }
}
