<?php

declare(strict_types=1);

namespace Jorvel\Core\Contract;

use Jorvel\Core\Bench\DecayKind;
use Jorvel\Core\Bench\DriftKind;
use Jorvel\Core\Bench\LimitKind;
use Jorvel\Core\Bench\ResponseKind;
use Jorvel\Core\Bench\Rigging\RigKind;
use Jorvel\Core\Bench\Rigging\RigNextKind;
use Jorvel\Core\Bench\Rigging\TurnbuckleKind;
use Jorvel\Core\Bench\Rigging\VernierKind;
use Jorvel\Core\Bench\SetKind;
use Jorvel\Core\Bench\TensionKind;
use Jorvel\Core\Crew\AssignKind;
use Jorvel\Core\Deferrals\ClockKind;
use Jorvel\Core\Deferrals\ClosureKind;
use Jorvel\Core\Deferrals\DispatchKind;
use Jorvel\Core\Deferrals\RateKind;
use Jorvel\Core\Deferrals\SwapKind;
use Jorvel\Core\Fleet\DepletionKind;
use Jorvel\Core\Fleet\DueKind;
use Jorvel\Core\Fleet\StaggerKind;
use Jorvel\Core\Release\ReleaseKind;
use Jorvel\Core\Visits\FindingsKind;
use Jorvel\Core\Visits\PackKind;
use Jorvel\Core\Visits\PhaseKind;
use Jorvel\Core\Visits\PlanKind;
use Jorvel\Core\Visits\Season\SeasonKind;

/** Every computation there is, by name. */
final class Kinds
{
    /** @return array<string, Kind> */
    public static function all(): array
    {
        $kinds = [];
        foreach ([
            new DueKind,
            new LimitKind,
            new RigKind,
            new RigNextKind,
            new VernierKind,
            new TurnbuckleKind,
            new ClockKind,
            new ReleaseKind,
            new DepletionKind,
            new StaggerKind,
            new PackKind,
            new PlanKind,
            new SeasonKind,
            new PhaseKind,
            new FindingsKind,
            new AssignKind,
            new SetKind,
            new TensionKind,
            new DecayKind,
            new ResponseKind,
            new DriftKind,
            new RateKind,
            new DispatchKind,
            new ClosureKind,
            new SwapKind,
        ] as $kind) {
            $kinds[$kind->name()] = $kind;
        }

        return $kinds;
    }
}
