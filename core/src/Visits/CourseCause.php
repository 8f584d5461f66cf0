<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** Why an aircraft leaves its visit later than was forecast. */
enum CourseCause
{
    /** Findings were raised. */
    case Found;

    /** Cards took longer than was planned for them. */
    case Longer;

    /** People were there, and half of their hours or more did not become work on its cards. */
    case Unworked;
}
