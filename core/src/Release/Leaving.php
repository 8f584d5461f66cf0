<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\NotWhole;
use Jorvel\Core\Now\OnAircraft;

/**
 * What at an aircraft keeps it from leaving, whatever visit it belongs to: nobody hands back an aircraft that somebody
 * works on.
 */
enum Leaving: string
{
    case PersonAt = 'person_at';
    case SystemLive = 'system_live';
    case BegunElsewhere = 'begun_elsewhere';
    case PartMissing = 'part_missing';
    case NotWhole = 'not_whole';

    /**
     * People at any card of it, systems that run or are live, cards of other visits that were begun and are not closed,
     * places from which a component was taken with none fitted since, and what was disturbed and is not joined or not
     * proven since.
     *
     * @param list<string> $missing ids of the places
     *
     * @return list<array{code: string, id: string}> by code in this order, then in the picture's
     *
     * @pure
     */
    public static function blockers(OnAircraft $on, string $visitId, array $missing = []): array
    {
        $elsewhere = array_filter($on->begun, static fn(CardRef $c): bool => $c->visitId !== $visitId);
        $out = [];
        $found = [
            [self::PersonAt, array_column($on->people, 'id')],
            [self::SystemLive, array_column($on->acting, 'id')],
            [self::BegunElsewhere, array_column($elsewhere, 'id')],
            [self::PartMissing, $missing],
            [self::NotWhole, array_map(static fn(NotWhole $n): int => $n->last->id, $on->notWhole())],
        ];
        foreach ($found as [$code, $ids]) {
            foreach ($ids as $id) {
                $out[] = ['code' => $code->value, 'id' => (string) $id];
            }
        }

        return $out;
    }
}
