<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Shared\InputError;

/** That a step energises, moves or pressurises systems of the aircraft. */
final readonly class Acts
{
    /**
     * @param non-empty-list<string> $systems `*` for the aircraft itself, as when it is lifted
     * @param list<string> $with kinds of devices that are meant to be fitted while it acts, and hold nothing then
     */
    private function __construct(public How $how, public array $systems, public array $with) {}

    /**
     * `Acts::on(How::Moves, ['landing gear'])`; lifting: `Acts::on(How::Moves, ['*'], ['Gear lock pins'])`.
     *
     * @param list<string> $systems
     * @param list<string> $with
     *
     * @throws InputError at `systems` when none is named
     *
     * @pure
     */
    public static function on(How $how, array $systems, array $with = []): self
    {
        return $systems === []
            ? throw InputError::at('systems', 'must name at least one system')
            : new self($how, $systems, $with);
    }
}
