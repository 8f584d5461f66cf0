<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;

/** A lesson is accepted, or declined with a reason. */
final class DecideLessonRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'accept' => 'required|boolean',
            'why' => 'required_if:accept,false|nullable|string|max:300',
        ];
    }
}
