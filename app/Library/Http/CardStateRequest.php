<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** A draft is checked, or comes in force: by name, with stamp and PIN. */
final class CardStateRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can(
            str_ends_with($this->path(), '/check') ? 'write' : 'force',
            CardTemplate::class,
        );
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['version' => 'required|integer', ...self::SIGNATURE];
    }
}
