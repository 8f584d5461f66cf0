<?php

declare(strict_types=1);

namespace App\Stores\Http;

/** Pieces that came. */
final class GoodsRequest extends CommitPartsRequest
{
    public const SAYS = [
        'expires' => 'last day of the shelf life',
    ];

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'batch' => 'required|string|max:40',
            'quantity' => 'required|integer|min:1|max:100000',
            'expires' => 'nullable|date_format:Y-m-d',
            'paper' => 'required|string|max:200',
            'order' => 'nullable|integer|exists:part_orders,id',
        ];
    }
}
