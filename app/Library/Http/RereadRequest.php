<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** A card template read again. */
final class RereadRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('reread', CardTemplate::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'outcome' => 'required|in:stands,new,both',
            'note' => 'required|string|max:2000',
            'fleets' => 'sometimes|list',
            'fleets.*' => 'string|exists:fleets,code',
            'seen' => 'sometimes|list|max:200',
            'seen.*' => 'string|max:5000',
        ];
    }
}
