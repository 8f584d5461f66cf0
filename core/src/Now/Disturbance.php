<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\DisturbanceAct;
use Jorvel\Core\Floor\DisturbedHow;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Shared\Instant;

/** That something on an aircraft was disturbed, joined or proven, by one step of one card. */
final readonly class Disturbance
{
    /**
     * @param int $id later ones have greater ids
     * @param string $what as the template names it: "union 2 of the crew oxygen line"
     * @param DisturbedHow|null $how of what was disturbed
     * @param list<Proof> $needs what shows that it is whole again; of what was disturbed
     * @param Proof|null $proof of what was proven
     * @param string|null $component that it is of, and goes along with
     * @param int|null $step null where a whole card was inspected
     */
    public function __construct(
        public int $id,
        public string $what,
        public DisturbanceAct $act,
        public ?DisturbedHow $how,
        public array $needs,
        public ?Proof $proof,
        public CardRef $card,
        public ?int $step,
        public string $by,
        public Instant $at,
        public ?string $component = null,
    ) {}
}
