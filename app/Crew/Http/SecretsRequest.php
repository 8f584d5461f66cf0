<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Shared\Http\RoomRequest;

/** A password and a PIN of one's own choice; at least one of the two. */
final class SecretsRequest extends RoomRequest
{
    public const SAYS = [
        'now' => 'the password of today',
        'code' => 'of a second person, where the PIN of today is not their own',
    ];

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'now' => 'required|string|max:200',
            'password' => 'required_without:pin|nullable|string|min:10|max:200',
            'code' => 'sometimes|nullable|string|max:20',
            'pin' => 'required_without:password|nullable|string|regex:/^\d{4,8}$/',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pin.regex' => 'A PIN is of 4 to 8 digits.',
            'password.min' => 'A password is of at least 10 characters.',
            '*.required_without' => 'Enter a new password, a new PIN, or both.',
        ];
    }
}
