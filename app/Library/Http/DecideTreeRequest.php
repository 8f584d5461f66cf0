<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** A fault tree is brought in force by a second person, or declined. */
final class DecideTreeRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['accept' => 'required|boolean'];
    }
}
