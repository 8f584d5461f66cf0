<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Do\BulkEdit;
use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;
use Illuminate\Validation\Rule;

/** One thing in place of another, in many cards. */
final class BulkRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'what' => ['required', Rule::in(BulkEdit::WHAT)],
            'from' => 'required|string|max:80',
            'to' => 'required|string|max:80',
            'save' => 'sometimes|boolean',
        ];
    }
}
