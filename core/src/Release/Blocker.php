<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

/** Why an aircraft cannot be returned to service, in the order in which they are told. */
enum Blocker: string
{
    case CardOpen = 'card_open';
    case StepsOpen = 'steps_open';
    case DuplicateMissing = 'duplicate_missing';
    case NotIndependent = 'not_independent';
    case RecheckOpen = 'recheck_open';
    case RevisionStale = 'revision_stale';
    case ReadingBad = 'reading_bad';
    case FindingOpen = 'finding_open';
    case DeferralInvalid = 'deferral_invalid';
    case SafingLeft = 'safing_left';
    case ToolOut = 'tool_out';
    case NotAuthorised = 'not_authorised';
}
