<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\InputError;

/** Sectors that one aircraft flies one after another. */
final readonly class SwapLine
{
    /** @param list<Sector> $sectors in their order */
    private function __construct(
        public string $id,
        public string $station,
        public array $sectors,
        public ?string $planned,
        public float $hours,
        public float $landings,
    ) {}

    /**
     * @param string $station where it begins
     * @param list<Sector> $sectors
     * @param string|null $planned the aircraft that is to fly it
     *
     * @throws InputError at `sectors.<i>` for one that departs before the one before it has arrived
     *
     * @pure
     */
    public static function of(string $id, string $station, array $sectors, ?string $planned): self
    {
        foreach ($sectors as $i => $sector) {
            if ($i > 0 && $sector->departs->isBefore($sectors[$i - 1]->arrives)) {
                throw InputError::at(
                    "sectors.{$i}",
                    "departs at {$sector->departs}, before {$sectors[$i - 1]->id} has arrived",
                );
            }
        }

        return new self(
            $id,
            $station,
            $sectors,
            $planned,
            array_sum(array_map(static fn(Sector $s): float => $s->hours, $sectors)),
            array_sum(array_map(static fn(Sector $s): float => $s->landings, $sectors)),
        );
    }
}
