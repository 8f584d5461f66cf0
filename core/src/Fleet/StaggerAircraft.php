<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** One aircraft of a phased fleet: hours left to its next phase, and what it may fly in a week. */
final readonly class StaggerAircraft
{
    /** @param list<int> $stands */
    private function __construct(
        public string $id,
        public float $left,
        public float $most,
        public float $least,
        public array $stands,
        public ?int $phaseFirst,
        public ?int $phaseLast,
    ) {}

    /**
     * @param float $left hours to its next phase; negative when it is past
     * @param float $most hours it can fly in a week
     * @param float $least hours it should fly in a week in which it can; gives way to its phase
     * @param list<int> $stands weeks (from 0) in which it does not fly for another reason
     * @param int|null $phaseFirst week in which its phase begins; with `$phaseLast`, in which it ends and it is full
     *   again
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        string $id,
        float $left,
        float $most,
        float $least = 0.0,
        array $stands = [],
        ?int $phaseFirst = null,
        ?int $phaseLast = null,
    ): self {
        foreach (['most' => $most, 'least' => $least] as $field => $hours) {
            if (! ($hours >= 0 && Near::atMost($hours, 168))) {
                throw InputError::at($field, 'must be between 0 and the 168 hours of a week');
            }
        }
        if ($least > $most) {
            throw InputError::at('least', "is more than most ({$most})");
        }
        if ($phaseFirst !== null && $phaseLast !== null && $phaseLast < $phaseFirst) {
            throw InputError::at('phase', 'ends before it begins');
        }

        return new self($id, $left, $most, $least, $stands, $phaseFirst, $phaseLast);
    }

    /** May it fly in this week at all. @pure */
    public function flies(int $week): bool
    {
        return ! in_array($week, $this->stands, true)
            && ($this->phaseFirst === null || $week < $this->phaseFirst || $week > $this->phaseLast);
    }
}
