<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;

/** Items laid into slots by hand. */
final class PackRequest extends RoomRequest
{
    public const SAYS = [
        'into' => 'slot by item',
    ];

    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'mark' => 'required|string',
            'days' => 'required|integer|min:7|max:730',
            'into' => 'present|array',
            'into.*' => ['string', 'regex:/^(slot|visit)-\d+$/'],
        ];
    }

    /** @return array<string, string> slot by item */
    public function into(): array
    {
        $into = [];
        foreach ($this->array('into') as $key => $slot) {
            $into[(string) $key] = (string) $slot;
        }

        return $into;
    }
}
