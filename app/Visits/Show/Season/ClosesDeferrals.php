<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Crew\Model\Person;
use App\Deferrals\Model\Deferral;
use App\Shared\Refused;
use Illuminate\Support\Collection;

/** What a season asks of the room that carries defects. */
interface ClosesDeferrals
{
    /** @param Collection<int, Deferral> $deferrals with `aircraft`, `listedItem`, `finding` and `cards.card` */
    public function read(Collection $deferrals): void;

    /** Hours that its closure takes, after {@see read()}. */
    public function hours(Deferral $deferral): float;

    /**
     * Puts the cards that close it into a visit.
     *
     * @throws Refused where it cannot be closed there
     */
    public function plan(Person $by, int $deferral, int $visit): void;
}
