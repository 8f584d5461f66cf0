<?php

declare(strict_types=1);

namespace App\Release;

use App\Floor\FloorWords;
use App\Release\Show\View\BlockerView;
use App\Shared\Words;
use Jorvel\Core\Now\Acting;

/**
 * What Release says: what stands in the way, and the one statement that is read on the screen, signed, recorded and
 * printed.
 */
final class ReleaseWords
{
    private const BLOCKERS = [
        'person_at' => 'is at the aircraft',
        'part_missing' => 'was taken off, and nothing is in its place',
        'not_whole' => 'was disturbed and is not whole again',
        'begun_elsewhere' => 'is begun and not closed',
        'card_open' => 'is not closed', 'steps_open' => 'has steps not done',
        'duplicate_missing' => 'needs its independent inspection',
        'not_independent' => 'was inspected by somebody who worked it', 'recheck_open' => 'has points to be read again',
        'revision_stale' => 'was written from a revision no longer in force',
        'reading_bad' => 'is out of limits or invalid',
        'finding_open' => 'is open: fix it or defer it',
        'deferral_invalid' => 'is carried by a deferral that is not valid',
        'safing_left' => 'is still fitted', 'tool_out' => 'is not back in the store',
        'not_authorised' => 'may not certify this type today',
    ];

    /** @param list<string> $codes of one card or thing, in order */
    public static function blocker(array $codes): string
    {
        return implode(', ', array_map(static fn(string $code): string => self::BLOCKERS[$code] ?? $code, $codes));
    }

    public static function live(Acting $a, string $since): string
    {
        return ucfirst(FloorWords::actingHolds($a, $since)->said);
    }

    public static function points(int $points): string
    {
        return Words::count($points, 'open point');
    }

    /** "3 open points keep it here". */
    public static function keeps(int $points): string
    {
        return self::points($points).($points === 1 ? ' keeps' : ' keep').' it here';
    }

    /** @param list<BlockerView> $blockers as whoever looks at it sees them */
    public static function standing(string $mark, array $blockers): string
    {
        // Who looks at it may have no authority to sign; that is no point of the aircraft's.
        $n = count(array_filter($blockers, static fn(BlockerView $b): bool => $b->code !== 'not_authorised'));
        if ($n === 0 && $blockers !== []) {
            return "{$mark} is ready for a certifier; {$blockers[0]->title} {$blockers[0]->text}.";
        }

        return $n === 0
            ? "{$mark} is ready. Nothing stands in the way of its release."
            : self::points($n).($n === 1 ? ' keeps' : ' keep')." {$mark} here".($n === 1 ? ': ' : ', first: ').trim(
                "{$blockers[0]->title} {$blockers[0]->text}",
            ).'.';
    }

    public static function released(string $mark, string $number): string
    {
        return "{$mark} is released to service under {$number}.";
    }

    /** @param list<string> $ready marks */
    public static function room(array $ready, bool $any): string
    {
        return match (true) {
            ! $any => 'Nothing is on its way out. Visits come here as soon as they are made.',
            $ready !== [] => implode(', ', $ready).(count($ready) === 1 ? ' is' : ' are').' ready for the certifier.',
            default => 'No aircraft is ready yet.',
        };
    }

    /** What the certifier signs; the same on the screen, in the record and on the paper. */
    public static function statement(string $mark, string $title, int $cards): string
    {
        return 'I have read the '.Words::count($cards, 'card')
            ." of \"{$title}\" on {$mark}. Their work is complete and signed, to the manual revisions that they "
            .'name, inspected independently where that is due; '
            .'what is not put right is carried as this paper lists it. Within my authority I hand the aircraft back '
            .'to fly. This paper does not stand in place of local rules or a licence.';
    }
}
