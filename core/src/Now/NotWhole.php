<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\Proof;

/** Something that was disturbed and is not joined, or not proven since. */
final readonly class NotWhole
{
    /**
     * @param Disturbance $last the last time that it was disturbed
     * @param Disturbance|null $joined since then
     * @param list<Disturbance> $proven since it was joined
     * @param list<Proof> $missing in the order in which they are named; empty where only the joining is
     * @param list<Disturbance> $before proofs from before it was last disturbed: they prove nothing now
     */
    public function __construct(
        public string $what,
        public Disturbance $last,
        public ?Disturbance $joined,
        public array $proven,
        public array $missing,
        public array $before,
    ) {}
}
