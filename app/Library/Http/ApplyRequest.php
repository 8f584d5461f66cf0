<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\Import;
use App\Shared\Http\RoomRequest;

/** An import that was previewed, and whether what was asked about it is meant. */
final class ApplyRequest extends RoomRequest
{
    public const SAYS = [
        'sure' => 'what was asked about it is meant',
    ];

    public function authorize(): bool
    {
        return $this->person()->can('bring', Import::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'sure' => 'sometimes|boolean',
        ];
    }
}
