<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\Import;
use App\Shared\Http\RoomRequest;

/** A file to be looked at. */
final class LookRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('bring', Import::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'kind' => 'required|in:programme,programme-csv,revision,flying,sectors',
            'name' => 'required|string|max:200',
            'text' => 'required|string|max:4000000',
        ];
    }
}
