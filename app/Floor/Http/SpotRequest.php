<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Finding;

/** Where a finding shows on the drawing. */
final class SpotRequest extends CardRequest
{
    public function authorize(): bool
    {
        return $this->mayOnCard('raise', Finding::findOrFail((int) $this->route('id'))->card_id);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return array_map(static fn(string $rule): string => "required|{$rule}", RaiseRequest::SPOT);
    }

    /** @return array{view: string, x: float, y: float} */
    public function spot(): array
    {
        return ['view' => $this->string('view')->value(), 'x' => $this->float('x'), 'y' => $this->float('y')];
    }
}
