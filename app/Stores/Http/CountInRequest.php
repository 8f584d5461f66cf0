<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\RoomRequest;
use App\Stores\Model\Tool;

/** What came back of a loan. */
final class CountInRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('count', Tool::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'counted' => 'required|integer|min:0|max:10000',
        ];
    }
}
