<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Model\Person;
use App\Shared\Http\RoomRequest;

/** A password and a PIN given to somebody until they choose their own. */
final class GiveSecretsRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Person::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['password' => 'required|string|min:10|max:200', 'pin' => 'required|string|regex:/^\d{4,8}$/'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pin.regex' => 'A PIN is of 4 to 8 digits.',
            'password.min' => 'A password is of at least 10 characters.',
        ];
    }
}
