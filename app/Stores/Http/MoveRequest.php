<?php

declare(strict_types=1);

namespace App\Stores\Http;

/** Pieces of a batch that came back, were scrapped, or were counted. */
final class MoveRequest extends CommitPartsRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'do' => 'required|in:back,scrapped,counted',
            'quantity' => 'required|integer|min:0|max:100000',
            'why' => 'required|string|max:200',
        ];
    }
}
