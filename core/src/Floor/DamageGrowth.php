<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use function array_slice;
use function count;

/** How fast a damage grows between two looks, and how long that leaves it allowed. */
final readonly class DamageGrowth
{
    /**
     * @param float|null $since the last look but one, mm of length; null with one look
     * @param float|null $perHundred mm of length in 100 flight hours; null with one look, or nothing flown between
     * @param float|null $hoursLeft flight hours until its length is no longer allowed, if it goes on so; null where it
     *   does not grow, or no length is named
     */
    private function __construct(public ?float $since, public ?float $perHundred, public ?float $hoursLeft) {}

    /**
     * @param list<array{float, DamageSize}> $looks flight hours of the aircraft and size, in the order of the looks
     * @param float|null $most length that is allowed, mm
     *
     * @pure
     */
    public static function of(array $looks, ?float $most): self
    {
        if (count($looks) < 2) {
            return new self(null, null, null);
        }
        [[$then, $was], [$now, $is]] = array_slice($looks, -2);
        $grown = $is->length - $was->length;
        $flown = $now - $then;
        if (! ($flown > 0)) {
            return new self($grown, null, null);
        }
        $rate = $grown / $flown;

        return new self(
            $grown,
            100 * $rate,
            $rate > 0 && $most !== null ? max(0.0, ($most - $is->length) / $rate) : null,
        );
    }
}
