<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/** Which of an item's limits counts: whichever comes first, or whichever comes last. */
enum Rule: string
{
    case First = 'first';
    case Last = 'last';
}
