<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\InputError;

/** So many of these aircraft may be in visits on any one day. */
final readonly class SeasonDown
{
    /** @param list<string> $aircraft */
    private function __construct(public array $aircraft, public int $most) {}

    /**
     * @param list<string> $aircraft each once
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(array $aircraft, int $most): self
    {
        SeasonBay::once('aircraft', $aircraft);

        return $most >= 0 ? new self($aircraft, $most) : throw InputError::negative('most');
    }
}
