<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Crew\Person;
use Illuminate\Foundation\Http\FormRequest;

/** A request of a signed-in person. */
abstract class RoomRequest extends FormRequest
{
    public function person(): Person
    {
        $person = $this->user();
        assert($person instanceof Person);

        return $person->loadMissing('qualifications');
    }
}
