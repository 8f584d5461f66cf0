<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

use Jorvel\Core\Shared\InputError;

/**
 * May it be returned to service, and if not, what stands in the way.
 *
 * Contract: docs/core.md, core/schema/release.json.
 */
final class Release
{
    /**
     * @param list<CardState> $cards
     * @param list<FindingState> $findings
     * @param list<Safing> $safing
     * @param list<string> $toolsOut
     * @param array<array-key, string> $readings verdict by id
     *
     * @return list<array{code: string, id: string}> by code in {@see Blocker}'s order, then in input order; empty when
     *   ready
     *
     * @throws InputError for a device carried by a finding that is not there
     *
     * @pure
     */
    public static function blockers(
        array $cards,
        array $findings,
        array $safing,
        array $toolsOut,
        array $readings,
        Certifier $certifier,
    ): array {
        $found = [];
        foreach ($findings as $finding) {
            $found[$finding->id] = $finding;
        }
        foreach ($safing as $i => $device) {
            if ($device->carriedBy !== null && ! isset($found[$device->carriedBy])) {
                throw InputError::notAmong("safing.{$i}.carried_by", 'findings', $device->carriedBy);
            }
        }
        $out = [];
        foreach (Blocker::cases() as $code) {
            $ids = match ($code) {
                Blocker::CardOpen => self::cards($cards, static fn(CardState $c): bool => ! $c->closed),
                Blocker::StepsOpen => self::cards($cards, static fn(CardState $c): bool => $c->stepsOpen > 0),
                Blocker::DuplicateMissing => self::cards(
                    $cards,
                    static fn(CardState $c): bool => $c->critical && $c->duplicateBy === null,
                ),
                Blocker::NotIndependent => self::cards(
                    $cards,
                    static fn(CardState $c): bool
                        => $c->duplicateBy !== null && in_array($c->duplicateBy, $c->performedBy, true),
                ),
                Blocker::RecheckOpen => self::cards($cards, static fn(CardState $c): bool => $c->recheckOpen !== []),
                Blocker::RevisionStale => self::cards($cards, static fn(CardState $c): bool => ! $c->revisionCurrent),
                Blocker::ReadingBad => array_keys(array_filter(
                    $readings,
                    static fn(string $verdict): bool => $verdict !== 'pass',
                )),
                Blocker::FindingOpen => self::findings($findings, static fn(FindingState $f): bool => $f->open),
                Blocker::DeferralInvalid => self::findings(
                    $findings,
                    static fn(FindingState $f): bool => $f->deferred && ! $f->valid,
                ),
                Blocker::SafingLeft => array_map(
                    static fn(Safing $s): string => $s->id,
                    array_filter(
                        $safing,
                        static fn(Safing $s): bool
                            => ! $s->removed && ($s->carriedBy === null || ! $found[$s->carriedBy]->valid),
                    ),
                ),
                Blocker::ToolOut => $toolsOut,
                Blocker::NotAuthorised => $certifier->authorityValid && $certifier->rated ? [] : [$certifier->id],
            };
            foreach ($ids as $id) {
                $out[] = ['code' => $code->value, 'id' => (string) $id];
            }
        }

        return $out;
    }

    /**
     * @param list<CardState> $cards
     * @param callable(CardState): bool $blocks
     *
     * @return list<string>
     */
    private static function cards(array $cards, callable $blocks): array
    {
        return array_values(array_map(static fn(CardState $c): string => $c->id, array_filter($cards, $blocks)));
    }

    /**
     * @param list<FindingState> $findings
     * @param callable(FindingState): bool $blocks
     *
     * @return list<string>
     */
    private static function findings(array $findings, callable $blocks): array
    {
        return array_values(array_map(static fn(FindingState $f): string => $f->id, array_filter($findings, $blocks)));
    }
}
