<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

/** Who is about to sign. */
final readonly class Certifier
{
    public function __construct(public string $id, public bool $authorityValid, public bool $rated) {}
}
