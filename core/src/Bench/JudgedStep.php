<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

/** A step of a functional test, and what came of it in one attempt. */
final readonly class JudgedStep
{
    /**
     * @param string|null $id by which a rule names it, without the position of its block
     * @param Verdict|null $verdict null where it was not reached
     */
    public function __construct(public ?string $id, public string $title, public ?Verdict $verdict) {}
}
