<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\InputError;

/** Somebody who can be given work: what they hold, and how many hours a day they have. */
final readonly class AssignPerson
{
    private function __construct(public string $id, public Qualified $holds, public float $hours) {}

    /**
     * @param float $hours on each date, 0 to 24
     *
     * @throws InputError for hours no day has
     *
     * @pure
     */
    public static function of(string $id, Qualified $holds, float $hours): self
    {
        if (! ($hours >= 0 && $hours <= 24)) {
            throw InputError::at('hours', 'must lie between 0 and 24');
        }

        return new self($id, $holds, $hours);
    }
}
