<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Now\AircraftNow;
use Jorvel\Core\Now\DeferralNow;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\PartGone;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/** May an aircraft be returned to service after a visit: what its work lacks, and what is true of the rest of it. */
final class Ready
{
    /**
     * @param list<CardState> $cards of the visit, and those of earlier ones whose readings have come into doubt since
     * @param array<array-key, string> $readings verdict by id
     * @param Instant $now by which what is carried runs out
     *
     * @return list<array{code: string, id: string}> what holds for the whole aircraft first ({@see Leaving}), then in
     *   {@see Blocker}'s order; empty when ready
     *
     * @throws InputError for a device carried by a finding that is not there, or a counter that a deferral's limit
     *   needs
     *
     * @pure
     */
    public static function blockers(
        AircraftNow $aircraft,
        string $visitId,
        array $cards,
        array $readings,
        Certifier $certifier,
        Instant $now,
    ): array {
        $carried = [];
        foreach ($aircraft->deferrals as $deferral) {
            $carried[$deferral->findingId] = $deferral;
        }
        $valid = static fn(?DeferralNow $d): bool => $d !== null && $d->valid($now, $aircraft->flying);
        $findings = [];
        foreach ($aircraft->findings as $id => $state) {
            $is = $state === FindingProgress::Deferred ? $valid($carried[$id] ?? null) : null;
            $findings[] = FindingState::of((string) $id, $state->value, $is);
        }
        $missing = array_map(static fn(PartGone $p): string => $p->id, $aircraft->gone);

        return [...Leaving::blockers($aircraft->on, $visitId, $missing), ...Release::blockers(
            $cards,
            $findings,
            array_map(
                static fn(DeviceOn $d): Safing => new Safing($d->id, false, $d->carriedBy),
                $aircraft->on->devices,
            ),
            array_column($aircraft->on->loans, 'id'),
            $readings,
            $certifier,
        )];
    }
}
