<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Fleet\Model\Aircraft;
use App\Floor\Do\Exceedances;
use App\Floor\Do\NewExceedance;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Shared\Http\RoomRequest;
use Illuminate\Validation\Rule;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\Unit;

/** A limit that was exceeded, as somebody tells it. */
final class ExceedanceRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'mark' => 'required|string|max:20',
            'rule' => 'required|string|max:24',
            'position' => 'required|string|max:60',
            'peak' => 'required|string|max:40',
            'seconds' => 'required|string|max:40',
            'source' => ['required', Rule::in(['run', 'recorder', 'crew'])],
            'date' => 'required|date_format:Y-m-d',
            'time' => 'required|date_format:H:i',
            'note' => 'sometimes|nullable|string|max:300',
            'preview' => 'sometimes|boolean',
        ];
    }

    public function aircraft(): Aircraft
    {
        return Aircraft::with('type')->where('mark', $this->string('mark')->value())->firstOrFail();
    }

    public function exceedance(Aircraft $aircraft, Clock $clock): NewExceedance
    {
        $rule = $this->string('rule')->value();
        $table = Exceedances::ruleOf($aircraft->type_id, $rule)->rule()->exceeded;

        return new NewExceedance(
            $rule,
            $this->string('position')->value(),
            $this->number('peak', $table->unit ?? Unit::s),
            $this->number('seconds', Unit::s),
            $this->string('source')->value(),
            $clock->at(Day::parse($this->string('date')->value()), $this->string('time')->value()),
            trim($this->string('note')->value()),
        );
    }

    private function number(string $field, Unit $unit): float
    {
        return Input::within($field, fn(): float => Entered::parse($this->string($field)->value(), $unit)->value);
    }
}
