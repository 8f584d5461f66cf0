<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Shared\Instant;

/** A safing device, a cover, a notice or an open line that stands in the aircraft's register. */
final readonly class DeviceOn
{
    /**
     * @param string $kind as the register names it
     * @param Touch $against what must not be energised, moved or pressurised while it is on
     * @param string|null $carriedBy the finding whose deferral carries it
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $place,
        public Touch $against,
        public bool $openLine,
        public CardRef $card,
        public string $fittedBy,
        public ?string $carriedBy = null,
        public ?Instant $since = null,
    ) {}
}
