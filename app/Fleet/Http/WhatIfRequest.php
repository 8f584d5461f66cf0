<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Do\WhatIf;
use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;

/** A supposed change of use, of a visit's dates, or of a base. */
final class WhatIfRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Fleet::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'base' => 'nullable|string',
            'changes' => 'required|list|min:1|max:20',
            'changes.*.kind' => 'required|in:'.implode(',', WhatIf::KINDS),
            'changes.*.mark' => 'required_unless:changes.*.kind,visit|string',
            'changes.*.id' => 'required_if:changes.*.kind,visit|integer',
            'changes.*.start' => 'required_if:changes.*.kind,visit|date_format:Y-m-d',
            'changes.*.end' => 'required_if:changes.*.kind,visit|date_format:Y-m-d',
            'changes.*.reason' => 'nullable|string|max:300',
            'changes.*.base' => 'required_if:changes.*.kind,base|string',
            'changes.*.rates' => 'array',
            'changes.*.rates.*' => 'numeric|between:0,60',
            'changes.*.week' => 'nullable|array',
            'changes.*.week.*' => 'list|size:7',
            'changes.*.week.*.*' => 'numeric|between:0,60',
        ];
    }

    /**
     * @return list<array{
     *   kind: string, mark?: string, id?: int, rates?: array<string, float>, week?: array<string, list<float>>|null,
     *   start?: string, end?: string, base?: string, reason?: string|null,
     * }>
     */
    public function changes(): array
    {
        return array_values($this->validated('changes'));
    }
}
