<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\NewFinding;
use App\Floor\Model\Card;
use App\Floor\Model\Severity;
use App\Shared\Http\RoomRequest;
use Illuminate\Validation\Rule;

/** A check on the line is begun; after a report with what the crew said. */
final class LineRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'mark' => 'required|string|max:20',
            'item' => 'required|integer',
            'flight' => 'sometimes|nullable|string|max:20',
            'report' => 'sometimes|nullable|string|min:3|max:1000',
            'chapter' => ['required_with:report', 'nullable', 'string', 'regex:/^\d{2}(-\d{2})?$/'],
            'severity' => ['sometimes', Rule::enum(Severity::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['chapter.regex' => 'A chapter is two figures, or two and two: 32, or 32-10. Nothing was begun.'];
    }

    public function report(): ?NewFinding
    {
        $text = trim($this->string('report')->value());

        return $text === '' ? null : new NewFinding(
            'as the crew reports',
            $text,
            $this->enum('severity', Severity::class) ?? Severity::Minor,
            $this->string('chapter')->value(),
        );
    }
}
