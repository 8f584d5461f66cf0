<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** Where a damage is: on one view of its aircraft's drawing, in metres. */
final readonly class DamageSpot
{
    /** Nearer than so many metres on the same view, and two may be the same damage. */
    public const NEAR = 0.4;

    /** @param string $view `side`, `top`, `front` */
    public function __construct(public string $view, public float $x, public float $y) {}

    /** Whether another may be the same damage; on two views nobody can tell. @pure */
    public function near(self $other): bool
    {
        return $this->view === $other->view && hypot($this->x - $other->x, $this->y - $other->y) < self::NEAR;
    }
}
