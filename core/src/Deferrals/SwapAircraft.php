<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Near;

/** An aircraft that could fly a line. */
final readonly class SwapAircraft
{
    /**
     * @param string $station where it stands
     * @param Instant $freeFrom from when it may depart
     * @param float|null $hours flight hours left; null where nothing bounds them, as landings
     * @param Dispatch $dispatch what is open on it
     */
    public function __construct(
        public string $id,
        public string $station,
        public Instant $freeFrom,
        public ?float $hours,
        public ?float $landings,
        public Dispatch $dispatch,
    ) {}

    /**
     * Why it cannot fly a line: `station`, `not_free`, `hours`, `landings`, `no_go:<sector>:<code>`; null where it can.
     *
     * @pure
     */
    public function unfit(SwapLine $line, Instant $at): ?string
    {
        if ($line->station !== $this->station) {
            return 'station';
        }
        if ($line->sectors !== [] && $line->sectors[0]->departs->isBefore($this->freeFrom)) {
            return 'not_free';
        }
        if ($this->hours !== null && ! Near::atMost($line->hours, $this->hours)) {
            return 'hours';
        }
        if ($this->landings !== null && ! Near::atMost($line->landings, $this->landings)) {
            return 'landings';
        }
        foreach ($line->sectors as $sector) {
            if (! $this->dispatch->allows($sector, $at)) {
                return "no_go:{$sector->id}:".$this->dispatch->judge($sector, $at)->reasons[0]['code'];
            }
        }

        return null;
    }
}
