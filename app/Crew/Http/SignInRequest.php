<?php

declare(strict_types=1);

namespace App\Crew\Http;

use Illuminate\Foundation\Http\FormRequest;

/** A name and a password, by anybody. */
final class SignInRequest extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'login' => 'required|string|max:60', 'password' => 'required|string|max:200',
        ];
    }
}
