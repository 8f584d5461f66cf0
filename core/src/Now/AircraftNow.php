<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Floor\FindingProgress;
use LogicException;

/**
 * An aircraft as it stands: what it has flown and will fly, its items, what is fitted to it and what is missing, what
 * it carries, what was found on it, when it stands, and everything that is at it, open or out on it.
 */
final readonly class AircraftNow
{
    /**
     * @param Flying $flying its counters with their day, and the use to come
     * @param list<ItemNow>|null $items of its programme, on itself and on what is fitted to it; null where nobody asked
     *   what falls due
     * @param list<BottleNow>|null $bottles those with a trend; null likewise
     * @param list<PartGone> $gone
     * @param list<DeferralNow> $deferrals those that are open
     * @param array<array-key, FindingProgress> $findings by id
     * @param list<VisitSpan> $visits not released yet, with what they take
     * @param list<DamageNow> $damages that are looked at again
     */
    public function __construct(
        public string $id,
        public Flying $flying,
        private ?array $items,
        private ?array $bottles,
        public array $gone,
        public array $deferrals,
        public array $findings,
        public array $visits,
        public OnAircraft $on,
        public array $damages = [],
    ) {}

    /** @return list<ItemNow> @pure */
    public function items(): array
    {
        return $this->items ?? throw self::without();
    }

    /** @return list<BottleNow> @pure */
    public function bottles(): array
    {
        return $this->bottles ?? throw self::without();
    }

    private static function without(): LogicException
    {
        return new LogicException('This picture was made without what falls due.');
    }
}
