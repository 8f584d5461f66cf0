<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\Manual;
use App\Shared\Http\RoomRequest;

/** A question to the support desk. */
final class AskRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('ask', Manual::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'section' => 'required|string|max:20',
            'text' => 'required|string|max:4000',
        ];
    }
}
