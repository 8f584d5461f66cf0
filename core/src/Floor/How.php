<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** What a step does to a system, and whether the system stays so when the step is over. */
enum How: string
{
    case Energises = 'energises';
    case Moves = 'moves';
    case Pressurises = 'pressurises';

    /** Power and pressure stay until something ends them; a movement is over when it is over. @pure */
    public function lasts(): bool
    {
        return $this !== self::Moves;
    }
}
