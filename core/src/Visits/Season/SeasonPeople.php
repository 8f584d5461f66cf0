<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** The people that some bays share: for so many hours of work in all of them together there are people on a day. */
final readonly class SeasonPeople
{
    /**
     * @param list<string> $bays
     * @param array<int, float> $hours
     */
    private function __construct(public array $bays, public array $hours, public float $over) {}

    /**
     * @param list<string> $bays each once
     * @param array<int, float> $hours at least 0, by the day's number; a day that is not among them has no bound
     * @param float $over hours that each hour of work costs beyond them, at least 0
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(array $bays, array $hours, float $over = 2.0): self
    {
        SeasonBay::once('bays', $bays);
        foreach ($hours as $day => $many) {
            if (! ($many >= 0)) {
                throw InputError::negative('hours.'.Day::fromNumber($day));
            }
        }

        return $over >= 0 ? new self($bays, $hours, $over) : throw InputError::negative('over');
    }
}
