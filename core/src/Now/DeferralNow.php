<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Deferrals\Clock;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Deferrals\Deferral;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/** A defect that an aircraft carries now. */
final readonly class DeferralNow
{
    /** @param bool $procedureDone whether the maintenance procedure of its listed item was carried out */
    public function __construct(
        public string $id,
        public string $findingId,
        public Deferral $terms,
        public bool $procedureDone,
    ) {}

    /** What it is called among the stops of its aircraft. @pure */
    public function stop(): string
    {
        return self::stopOf($this->id);
    }

    /** @pure */
    public static function stopOf(string $id): string
    {
        return 'deferral:'.$id;
    }

    /** @throws InputError for a counter or a rate that a limit needs @pure */
    public function clock(Instant $now, Flying $flying): ClockResult
    {
        return Clock::read($this->terms, $now, $flying);
    }

    /** Whether the aircraft may fly with it: made safe, and not run out. @throws InputError likewise @pure */
    public function valid(Instant $now, Flying $flying): bool
    {
        return $this->procedureDone && $this->clock($now, $flying)->status !== 'expired';
    }
}
