<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Crew\Model\Person;
use App\Shared\Refused;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Support\Stringable;

/** A request of a signed-in person. */
abstract class RoomRequest extends FormRequest
{
    /** What a signature is asked for with. */
    protected const SIGNATURE = ['stamp' => 'required|string|max:20', 'pin' => 'required|string|max:20'];

    public function person(): Person
    {
        $person = $this->user();
        assert($person instanceof Person);

        return $person->loadMissing('qualifications');
    }

    /**
     * Text of a field; whatever is no text is refused by its name.
     *
     * @param string $key
     * @param mixed $default
     *
     * @throws Refused
     */
    public function string($key, $default = null): Stringable
    {
        $value = $this->input($key, $default);
        if ($value !== null && ! is_scalar($value)) {
            throw Refused::because("{$key}: must be text. Nothing was changed.");
        }

        return Str::of((string) $value);
    }
}
