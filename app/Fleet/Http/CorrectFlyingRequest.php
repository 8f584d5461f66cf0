<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;

/** What was really flown on a day, and why the entry was wrong. */
final class CorrectFlyingRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Fleet::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'flown' => 'required|array|min:1',
            'flown.*' => 'required|string|max:20',
            'reason' => 'required|string|min:3|max:200',
        ];
    }

    /** @return array<string, string> what was typed, by counter or counter reading */
    public function cells(): array
    {
        return array_map(static fn(mixed $v): string => trim((string) $v), $this->array('flown'));
    }
}
