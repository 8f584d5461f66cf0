<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/** What makes a day's flying worth a second look before it is counted. None of them forbids it. */
enum FlyingDoubt: string
{
    /** Days between the last one counted and this one are passed over. */
    case Gap = 'gap';
    /** The day has an entry already; this adds to it. */
    case Again = 'again';
    /** The day is not over yet. */
    case Unfinished = 'unfinished';
    /** Far more than was planned. */
    case Far = 'far';
    /** The aircraft stands in a visit on that day. */
    case InVisit = 'in_visit';
    /** Safing devices were on it on that day, and are on it still. */
    case Devices = 'devices';
}
