<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/** Why a component does not go to a place on an aircraft. */
enum NotHere
{
    /** It is fitted there already. */
    case There;
    /** It is fitted elsewhere. */
    case Elsewhere;
    /** Another one is fitted there. */
    case Taken;
    /** Its tag does not say that it is serviceable. */
    case Tagged;
    /** It counts by something that this aircraft does not count. */
    case NoCounter;
    /** No aircraft of this type takes its kind. */
    case NoKind;
    /** The type has no such place for its kind. */
    case NoPlace;
    /** Its part number never stood at a place for its kind on this type. */
    case WrongNumber;
}
