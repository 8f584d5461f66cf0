<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\NewFinding;
use App\Floor\Model\Card;
use App\Floor\Model\Severity;
use App\Shared\Http\RoomRequest;
use Illuminate\Validation\Rule;

/** What somebody answers of what follows from a finding; what is wrong there is a finding of its own. */
final class FollowUpRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'answer' => 'required|string|min:2|max:300',
            'not_needed' => 'sometimes|boolean',
            'wrong' => 'sometimes|nullable|array:place,extent,severity',
            'wrong.place' => 'required_with:wrong|string|max:200',
            'wrong.extent' => 'required_with:wrong|string|max:1000',
            'wrong.severity' => ['required_with:wrong', Rule::enum(Severity::class)],
        ];
    }

    public function wrong(): ?NewFinding
    {
        $of = $this->array('wrong');

        return $of === [] ? null : new NewFinding(
            trim((string) $of['place']),
            trim((string) $of['extent']),
            Severity::from((string) $of['severity']),
        );
    }
}
