<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

/** By what a step may be meant for some aircraft, or some positions, and not for others. */
enum AppliesTo: string
{
    case Tail = 'tail';
    case Variant = 'variant';
    case Option = 'option';
    case Position = 'position';
    case Answer = 'answer';
}
