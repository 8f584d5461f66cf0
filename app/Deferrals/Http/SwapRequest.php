<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Model\Deferral;
use App\Shared\Http\RoomRequest;
use Jorvel\Core\Shared\Day;

/** A proposal of who flies whose line on a day: to be looked at, or, with the moves that were seen, to be sent. */
final class SwapRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('defer', Deferral::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'mark' => 'required|string|exists:aircraft,mark',
            'date' => 'required|date_format:Y-m-d',
            'moves' => 'sometimes|list|max:50',
            'moves.*.from' => 'required|string|max:20',
            'moves.*.to' => 'required|string|max:20',
            'moves.*.flights' => 'required|string|max:200',
        ];
    }

    public function day(): Day
    {
        return Day::parse($this->string('date')->value());
    }
}
