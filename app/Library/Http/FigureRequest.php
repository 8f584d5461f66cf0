<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Model\CardTemplate;
use App\Shared\Http\RoomRequest;
use App\Shared\Refused;

/** A drawing to be saved, as base64. */
final class FigureRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('write', CardTemplate::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'code' => ['required', 'string', 'max:24', 'regex:/^[A-Z0-9][A-Za-z0-9\/-]{1,23}$/'],
            'title' => 'required|string|max:120',
            'data' => 'required|string|max:420000',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'code.regex' => 'A figure has a number such as F-29-11: capitals, figures, "-" and "/". Nothing was saved.',
            'data.max' => 'The figure has more than 300 kB. Draw it with less, or take it smaller. Nothing was saved.',
        ];
    }

    public function bytes(): string
    {
        $bytes = base64_decode((string) $this->input('data'), true);

        return $bytes === false ? throw Refused::because('The file did not come whole. Nothing was saved.') : $bytes;
    }
}
