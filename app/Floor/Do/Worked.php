<?php

declare(strict_types=1);

namespace App\Floor\Do;

use Closure;

/** What working a step comes to, before anything is written. */
final readonly class Worked
{
    /**
     * @param array<string, mixed>|null $result what the step is done with; null while it stays open
     * @param list<Closure(): mixed> $writes what is written with it, in order
     */
    private function __construct(public ?array $result, public array $writes) {}

    /**
     * @param array<string, mixed> $result
     * @param Closure(): mixed ...$writes
     */
    public static function done(array $result, Closure ...$writes): self
    {
        return new self($result, array_values($writes));
    }

    /** @param Closure(): mixed ...$writes */
    public static function open(Closure ...$writes): self
    {
        return new self(null, array_values($writes));
    }
}
