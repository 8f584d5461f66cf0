<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Model\Person;
use App\Shared\Http\RoomRequest;

/** A qualification that is entered, renewed or withdrawn, or taken back before a second person confirmed it. */
final class QualificationRequest extends RoomRequest
{
    public const SAYS = [
        'until' => 'the last day; none where it does not lapse',
        'paper' => 'what it rests on, or why it is withdrawn',
    ];

    public function authorize(): bool
    {
        return $this->person()->can('edit', Person::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'version' => 'required|integer',
            'do' => 'required|in:grant,withdraw,take_back',
            'kind' => 'required|in:skill,rating,authority',
            'value' => 'required|string|max:60',
            'until' => 'nullable|date_format:Y-m-d',
            'paper' => 'required|string|max:200',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['paper.required' => 'Say what it rests on: the paper, or why it is withdrawn.'];
    }
}
