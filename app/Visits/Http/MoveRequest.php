<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** A card to another place on the board. */
final class MoveRequest extends RoomRequest
{
    public const SAYS = [
        'slot' => 'of the board at which it is to begin; null lets it go again',
        'version' => 'of the board that was looked at',
        'save' => 'false only shows it',
        'tighten' => 'the others close up, where that lets it leave sooner',
    ];

    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'card' => 'required|integer',
            'slot' => 'present|nullable|numeric|min:0|max:100000',
            'version' => 'required|integer',
            'tighten' => 'sometimes|boolean', 'save' => 'required|boolean',
        ];
    }
}
