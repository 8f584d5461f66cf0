<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season\Laid;

use Jorvel\Core\Shared\Day;

/** What cannot be of a visit as it is laid. */
final readonly class LaidTrouble
{
    /**
     * @param Day|null $day on which; of an item, its last or first day
     * @param string|null $item whose window does not hold the visit's first day
     * @param string|null $other visit that is in the way
     */
    public function __construct(
        public LaidTroubleKind $kind,
        public ?Day $day = null,
        public ?string $item = null,
        public ?string $other = null,
    ) {}
}
