<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season\Laid;

/** Why a visit cannot be as it is laid. */
enum LaidTroubleKind: string
{
    /** An item would be overdue. */
    case Late = 'late';

    /** An item may not be done that early. */
    case Early = 'early';

    /** The bay does not take this aircraft. */
    case Unfit = 'unfit';

    /** The work wants a roof. */
    case Outside = 'outside';

    /** At a wash place nothing is worked but washes. */
    case Dry = 'dry';

    /** No work is done in the bay on its first day. */
    case Closed = 'closed';

    /** Its days have not the hours of its work. */
    case Short = 'short';

    /** The aircraft is in another visit on one of its days. */
    case Twice = 'twice';

    /** The bay has no place left on one of its days. */
    case Full = 'full';
}
