<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** Several templates and cards, read again at once, under one name and one note. */
final class RereadManyRequest extends RoomRequest
{
    public const SAYS = ['cards' => 'the version that was seen, by card'];

    public function authorize(): bool
    {
        return $this->person()->can('reread', CardTemplate::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'templates' => 'required_without:cards|list|max:500',
            'templates.*' => 'integer',
            'cards' => 'sometimes|array|max:500',
            'cards.*' => 'integer|min:1',
            'note' => 'required|string|max:2000',
            'seen' => 'sometimes|list|max:500',
            'seen.*' => 'string|max:5000',
        ];
    }
}
