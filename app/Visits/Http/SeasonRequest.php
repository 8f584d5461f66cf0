<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;
use App\Visits\Model\Visit;
use App\Visits\Show\Season\SeasonVisitAsked;

/** A season as somebody has laid it. */
class SeasonRequest extends RoomRequest
{
    public const SAYS = [
        'visits' => 'as in SeasonLaidView',
    ];

    public function authorize(): bool
    {
        return $this->person()->can('plan', Visit::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'days' => 'required|integer|min:7|max:400',
            'visits' => 'present|list|max:2000',
            'visits.*.id' => ['required', 'string', 'regex:/^(visit|new)-\d{1,9}$/', 'distinct:strict'],
            'visits.*.mark' => 'required|string|max:20',
            'visits.*.bay' => 'required|string|max:80',
            'visits.*.start' => 'required|date_format:Y-m-d',
            'visits.*.end' => 'required|date_format:Y-m-d',
            'visits.*.items' => 'present|list|max:500',
            'visits.*.items.*' => 'required|string|max:80',
            'visits.*.pinned' => 'required|boolean',
            'visits.*.title' => 'required|string|max:120',
            'visits.*.hours' => 'required|numeric|min:0|max:2000',
        ];
    }

    public function days(): int
    {
        return $this->integer('days');
    }

    /** @return list<SeasonVisitAsked> */
    public function visits(): array
    {
        return array_map(SeasonVisitAsked::read(...), array_values($this->array('visits')));
    }
}
