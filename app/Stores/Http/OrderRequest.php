<?php

declare(strict_types=1);

namespace App\Stores\Http;

/** Pieces that were ordered. */
final class OrderRequest extends CommitPartsRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['quantity' => 'required|integer|min:1|max:100000', 'expected' => 'required|date_format:Y-m-d'];
    }
}
