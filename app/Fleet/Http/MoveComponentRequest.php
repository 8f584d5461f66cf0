<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;
use Illuminate\Validation\Rule;
use Jorvel\Core\Fleet\ComponentTag;

/** Where a component goes: onto an aircraft, or (no mark) into the store. */
final class MoveComponentRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Fleet::class);
    }

    /** @return array<string, string|list<mixed>> */
    public function rules(): array
    {
        return [
            'mark' => 'nullable|string',
            'position' => 'required|string|max:60',
            'reason' => 'required|string|min:3|max:200',
            'tag' => ['sometimes', Rule::enum(ComponentTag::class)],
            ...self::SIGNATURE,
        ];
    }

    public function tag(): ComponentTag
    {
        return ComponentTag::tryFrom($this->string('tag')->value()) ?? ComponentTag::Serviceable;
    }
}
