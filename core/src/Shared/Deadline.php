<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/** When a search must have ended: the one clock of the core, handed in as a budget. */
final readonly class Deadline
{
    private function __construct(private int $until) {}

    /** @param int $milliseconds from now, at least 1 */
    public static function in(int $milliseconds): self
    {
        return new self(hrtime(true) + $milliseconds * 1_000_000);
    }

    /** A nearer one: after so much of the time that is left. */
    public function after(float $share): self
    {
        $now = hrtime(true);

        return new self($now + (int) (max(0, $this->until - $now) * $share));
    }

    public function passed(): bool
    {
        return hrtime(true) >= $this->until;
    }
}
