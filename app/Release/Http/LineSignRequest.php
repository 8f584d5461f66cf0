<?php

declare(strict_types=1);

namespace App\Release\Http;

use App\Floor\Model\Card;
use App\Shared\Http\RoomRequest;

/** That a check on the line is good, signed; who may is asked with what else stands in the way. */
final class LineSignRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return self::SIGNATURE;
    }
}
