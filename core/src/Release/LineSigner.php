<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

use Jorvel\Core\Crew\Role;

/** Who signs that a check on the line is good. */
final class LineSigner
{
    /**
     * The authority that it takes: that of working it, for whoever had a hand in it; where something was put right at
     * it, and for anybody else, that of certifying.
     *
     * @param bool $hand somebody had a hand in the check
     * @param bool $fixed something was put right at it, by a card of its own
     *
     * @pure
     */
    public static function needs(bool $hand, bool $fixed): Role
    {
        return $hand && ! $fixed ? Role::Perform : Role::Certify;
    }
}
