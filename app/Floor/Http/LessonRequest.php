<?php

declare(strict_types=1);

namespace App\Floor\Http;

/** What went wrong at a card, so that the next one reads of it. */
final class LessonRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['text' => 'required|string|min:10|max:600'];
    }
}
