<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\Import;
use App\Library\Model\ImportKind;
use App\Shared\Http\RoomRequest;
use Illuminate\Validation\Rule;

/** A file to be looked at. */
final class LookRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('bring', Import::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(ImportKind::class)],
            'name' => 'required|string|max:200',
            'text' => 'required|string|max:4000000',
        ];
    }
}
