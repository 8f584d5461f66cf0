<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\NewFinding;
use App\Floor\Model\Severity;
use Illuminate\Validation\Rule;

/** A finding: where, how far it goes, how bad it is, and where it shows on the drawing. */
final class RaiseRequest extends CardRequest
{
    /** A place on one view of the drawing, in metres. */
    public const SPOT = [
        'view' => 'in:side,top,front',
        'x' => 'numeric|between:-100,100',
        'y' => 'numeric|between:-100,100',
    ];

    public function authorize(): bool
    {
        return $this->mayOnCard('raise', (int) $this->route('id'));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'place' => 'required|string|max:200',
            'extent' => 'required|string|max:1000',
            'severity' => ['sometimes', Rule::enum(Severity::class)],
            'chapter' => ['sometimes', 'nullable', 'string', 'regex:/^\d{2}(-\d{2})?$/'],
            'step' => 'sometimes|nullable|integer|min:1',
            'point' => 'sometimes|nullable|string|max:20',
            'spot' => 'sometimes|nullable|array:view,x,y',
            'spot.view' => 'required_with:spot|'.self::SPOT['view'],
            'spot.x' => 'required_with:spot|'.self::SPOT['x'],
            'spot.y' => 'required_with:spot|'.self::SPOT['y'],
            'sketch' => 'sometimes|nullable|list|max:200',
            'sketch.*' => 'list|min:1|max:600',
            'sketch.*.*' => 'list|size:2',
            'sketch.*.*.*' => 'numeric|between:0,1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['chapter.regex' => 'A chapter is two figures, or two and two: 32, or 32-10. Nothing was raised.'];
    }

    public function finding(): NewFinding
    {
        $spot = $this->input('spot');
        $sketch = $this->input('sketch');

        return new NewFinding(
            trim($this->string('place')->value()),
            trim($this->string('extent')->value()),
            $this->enum('severity', Severity::class) ?? Severity::Minor,
            $this->input('chapter') === null ? null : $this->string('chapter')->value(),
            $this->input('step') === null ? null : $this->integer('step'),
            is_array($spot) ? [
                'view' => (string) $spot['view'],
                'x' => (float) $spot['x'],
                'y' => (float) $spot['y'],
            ] : null,
            is_array($sketch) && $sketch !== [] ? array_values(array_map(
                static fn(array $stroke): array => array_values(array_map(
                    static fn(array $p): array => [round((float) $p[0], 4), round((float) $p[1], 4)],
                    $stroke,
                )),
                $sketch,
            )) : null,
            $this->input('point') === null ? null : $this->string('point')->value(),
        );
    }
}
