<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\Manual;
use App\Shared\Http\RoomRequest;

/** Its answer. */
final class AnswerRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('answer', Manual::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'answer' => 'required|string|max:8000',
            'reference' => 'sometimes|nullable|string|max:80',
        ];
    }
}
