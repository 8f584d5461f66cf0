<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\RoomRequest;
use App\Stores\Do\RecheckPlace;
use App\Stores\Model\Tool;

/** Where the re-checks of each aircraft are made. */
final class RechecksRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Tool::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'places' => 'present|list|max:500',
            'places.*.mark' => 'required|string|max:20|distinct:strict',
            'places.*.visit' => 'present|nullable|integer|min:1',
            'places.*.start' => 'required_without:places.*.visit|nullable|date_format:Y-m-d',
            'places.*.end' => 'required_without:places.*.visit|nullable|date_format:Y-m-d',
        ];
    }

    /** @return array<string, RecheckPlace> by aircraft */
    public function places(): array
    {
        return array_map(RecheckPlace::read(...), array_column($this->array('places'), null, 'mark'));
    }
}
