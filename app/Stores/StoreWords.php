<?php

declare(strict_types=1);

namespace App\Stores;

use App\Fleet\Model\Sector;
use App\Shared\Words;
use App\Stores\Model\ToolState;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Stores\PartStock;

/** What the room Stores says of tools, loans and parts; pure. */
final class StoreWords
{
    /**
     * @param list<string> $recalled codes
     * @param int $bad how many must not be used today, the recalled ones with them
     */
    public static function tools(int $all, array $recalled, int $bad): string
    {
        return match (true) {
            $all === 0 => 'No tool yet.',
            $recalled !== [] => implode(' and ', $recalled)
                .(count($recalled) === 1
                    ? ' is recalled: see what rests on it. '
                    : ' are recalled: see what rests on them. ')
                .Words::count($bad, 'tool').' must not be used today.',
            $bad === 0 => 'Every tool may be used.',
            default => "{$bad} of {$all} tools must not be used today.",
        };
    }

    /**
     * On which of the coming days an aircraft is to fly; null where on none.
     *
     * @param Collection<int, Sector> $sectors of them
     * @param callable(Day): string $date
     */
    public static function flies(Collection $sectors, callable $date): ?string
    {
        $days = $sectors->unique(static fn(Sector $s): int => $s->date->number)
            ->sortBy(static fn(Sector $s): int => $s->date->number)
            ->map(static fn(Sector $s): string => $date($s->date));

        return $days->isEmpty() ? null : 'It is to fly on '.$days->join(', ', ' and ').'.';
    }

    public static function out(int $loans): string
    {
        return $loans === 0
            ? 'Everything is in: no tool, no rag is out.'
            : Words::count($loans, 'thing is', 'things are')
                .' out. No aircraft is released with anything out on its cards.';
    }

    /**
     * A tool, and what rests on it since it was found wrong.
     *
     * @param string $said of the tool today
     * @param int $readings readings and uses since its last good check, on so many aircraft
     * @param int $toOpen cards of them without a re-check
     */
    public static function doubt(
        string $code,
        ToolState $state,
        string $said,
        int $readings,
        int $aircraft,
        int $toOpen,
    ): string {
        if ($aircraft === 0) {
            return "{$code} is recalled; nothing rests on it since its last good check.";
        }

        return match ($state) {
            ToolState::Recalled => "{$code} is recalled: ",
            ToolState::In => "{$code} is back, and what it read before is still in doubt: ",
            default => "{$code} {$said}, and what it read is still in doubt: ",
        }.Words::count($readings, 'reading').' on '.Words::count($aircraft, 'aircraft', 'aircraft').' '
            .($readings === 1 ? 'rests' : 'rest').' on it'.($toOpen === 0
                ? '; every re-check is open or done.'
                : ', '.Words::count($toOpen, 'card').' still without a re-check.');
    }

    public static function range(float $low, float $high, float $resolution, string $unit): string
    {
        return Words::number($low, 3)
            .' to '
            .Words::number($high, 3)
            ." {$unit}, reads to "
            .Words::number($resolution, 3);
    }

    /**
     * @param string|null $first number, title and what is said of the first part that needs a look
     * @param int $look how many need one
     */
    public static function parts(int $all, ?string $first, int $look): string
    {
        return match (true) {
            $all === 0 => 'No part yet.',
            $first === null => 'Every reserved part is here or on its way, and no shelf life is over.',
            default => "{$first}.".($look > 1 ? ' '.Words::count($look, 'part').' in all need a look.' : ''),
        };
    }

    /** @param int|null $days of shelf life left of the batch that it is about */
    public static function stock(PartStock $stock, bool $ordered, ?int $days): string
    {
        $short = Words::count($stock->short, 'piece').' short';

        return match ($stock->code) {
            'short' => $ordered ? "{$short}, and too few ordered" : "{$short}, none ordered",
            'waiting' => "{$short} until the order comes",
            'expired' => "batch {$stock->batch} is past its shelf life",
            'soon' => "batch {$stock->batch} runs out ".Words::fromNow((int) $days),
            default => 'enough for what is reserved',
        };
    }
}
