<?php

declare(strict_types=1);

namespace App\Floor\Do;

use Closure;
use Jorvel\Core\Bench\Verdict;

/** What working a step comes to, before anything is written. */
final readonly class Worked
{
    /**
     * @param array<string, mixed>|null $result what the step is done with; null while it stays open
     * @param list<Closure(): mixed> $writes what is written with it, in order
     * @param array<string, mixed>|null $short what a step of a functional test is done with though it is not good
     * @param Verdict $verdict of that
     */
    private function __construct(
        public ?array $result,
        public array $writes,
        public ?array $short = null,
        public Verdict $verdict = Verdict::Pass,
    ) {}

    /**
     * @param array<string, mixed> $result
     * @param Closure(): mixed ...$writes
     */
    public static function done(array $result, Closure ...$writes): self
    {
        return new self($result, array_values($writes));
    }

    /**
     * Worked, and not good: it stays open, but in a functional test, where it is what came of the attempt.
     *
     * @param array<string, mixed> $result
     * @param Verdict $verdict not a pass
     * @param Closure(): mixed ...$writes
     */
    public static function short(array $result, Verdict $verdict, Closure ...$writes): self
    {
        return new self(null, array_values($writes), $result, $verdict);
    }

    /** @param Closure(): mixed ...$writes */
    public static function open(Closure ...$writes): self
    {
        return new self(null, array_values($writes));
    }
}
