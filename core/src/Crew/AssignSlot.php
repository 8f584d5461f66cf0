<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** A place to be filled by one person: a role on a card, on a date, for so many hours. */
final readonly class AssignSlot
{
    private function __construct(
        public string $id,
        public string $card,
        public Role $role,
        public ?string $skill,
        public string $type,
        public Day $date,
        public float $hours,
    ) {}

    /**
     * @param string|null $skill null where none is asked for
     * @param string $type the aircraft type's code
     * @param float $hours above 0, at most 24
     *
     * @throws InputError for hours no day has
     *
     * @pure
     */
    public static function of(
        string $id,
        string $card,
        Role $role,
        ?string $skill,
        string $type,
        Day $date,
        float $hours,
    ): self {
        if (! ($hours > 0 && $hours <= 24)) {
            throw InputError::at('hours', 'must lie above 0 and at most at 24');
        }

        return new self($id, $card, $role, $skill, $type, $date, $hours);
    }

    /**
     * Why somebody can never take it, whatever else they do; null where they can.
     *
     * @pure
     */
    public function unfit(Qualified $holds): ?string
    {
        return $holds->unfit($this->role->value, $this->type, $this->skill, $this->date);
    }
}
