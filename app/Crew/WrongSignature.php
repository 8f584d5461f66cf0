<?php

declare(strict_types=1);

namespace App\Crew;

use App\Crew\Do\PinTries;
use Illuminate\Contracts\Debug\ShouldntReport;
use Illuminate\Http\JsonResponse;

/** A stamp or PIN that is wrong: it is counted against whoever it was to be, once all else is taken back. */
final class WrongSignature extends \DomainException implements ShouldntReport
{
    public function __construct(private readonly int $personId)
    {
        parent::__construct('Stamp or PIN is wrong. Nothing was signed; enter both again.');
    }

    public function render(): JsonResponse
    {
        app(PinTries::class)->wrong($this->personId);

        return new JsonResponse(['message' => $this->getMessage()], 422);
    }
}
