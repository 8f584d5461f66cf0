<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** What shows that something which was disturbed is as it should be again. */
enum Proof: string
{
    case Torque = 'torque';
    case Locking = 'locking';
    case Leak = 'leak';
    case Bleed = 'bleed';
    case Tension = 'tension';
    case Travel = 'travel';
    case Continuity = 'continuity';
    case Reading = 'reading';
    case FunctionalTest = 'functional_test';
    case IndependentInspection = 'independent_inspection';
}
