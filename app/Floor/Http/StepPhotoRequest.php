<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** A photo at a step, as found or as left. */
final class StepPhotoRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'photo' => 'required|file|max:8192',
            'when' => 'required|in:as_found,as_left',
            'text' => 'sometimes|nullable|string|max:300',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return PhotoRequest::says('Nothing was saved.');
    }

    /** "As found: chafed at the clip". */
    public function text(): string
    {
        $text = trim($this->string('text')->value());

        $when = $this->string('when')->value() === 'as_found' ? 'As found' : 'As left';

        return $text === '' ? $when : "{$when}: {$text}";
    }
}
