<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Fleet\Model\Aircraft;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;

/**
 * Who may decide what is carried, for how long, and that it is over: a controller, whom the operator appoints for it,
 * or whoever may certify this type today.
 */
final readonly class MayDefer
{
    public function __construct(private Clock $clock) {}

    /**
     * @param Aircraft $aircraft with `type`
     * @throws Refused for a certifier whose authority or rating is not good today
     */
    public function require(Person $by, Aircraft $aircraft): void
    {
        if ($by->holds(Role::Controller)) {
            return;
        }
        $type = $aircraft->type->code;
        $why = $by->qualified()->unfit('certify', $type, null, $this->clock->today());
        if ($why !== null) {
            throw Refused::because("{$by->name} ".Words::unfit($why, 'certify', $type, null).', and so may not decide '
                ."what {$aircraft->mark} carries. Nothing was changed.");
        }
    }
}
