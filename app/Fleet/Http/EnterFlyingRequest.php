<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;

/** A day's flying entered by hand. */
final class EnterFlyingRequest extends RoomRequest
{
    public const SAYS = [
        'flown' => 'by counter (fh), or counter reading (fh_total), as typed',
        'sure' => 'what was asked about it is meant',
    ];

    public function authorize(): bool
    {
        return $this->person()->can('edit', Fleet::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'date' => 'required|date_format:Y-m-d',
            'flown' => 'required|array|min:1',
            'flown.*' => 'nullable|string|max:20',
            'sure' => 'boolean',
        ];
    }

    /** @return array<string, string> what was typed, by counter or counter reading */
    public function cells(): array
    {
        return array_map(static fn(mixed $v): string => trim((string) $v), $this->array('flown'));
    }
}
