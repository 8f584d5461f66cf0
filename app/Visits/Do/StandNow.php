<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Fleet\Model\Aircraft;
use App\Shared\Clock;
use App\Visits\Model\Visit;

/** A visit that begins at once, where the aircraft stands: something has come that waits for no bay. */
final readonly class StandNow
{
    public function __construct(private Clock $clock) {}

    /** @return Visit the one in which it stands already, or a new one of today, in work */
    public function __invoke(Aircraft $aircraft, string $title): Visit
    {
        return Visit::where(['aircraft_id' => $aircraft->id, 'state' => Visit::IN_WORK])->first()
            ?? $this->open($aircraft, $title);
    }

    public function open(Aircraft $aircraft, string $title): Visit
    {
        $today = (string) $this->clock->today();
        $visit = Visit::create([
            'aircraft_id' => $aircraft->id, 'title' => $title, 'bay' => Visit::LINE, 'start' => $today, 'end' => $today,
            'state' => Visit::IN_WORK,
        ]);

        return $visit->setRelation('aircraft', $aircraft);
    }
}
