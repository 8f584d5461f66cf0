<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

/** A lock, cap, collar or notice that stays on under a deferral. */
final readonly class CarriedDevice
{
    /**
     * @param int|null $no of the step by which the make-safe card fitted it; null where another card did
     * @param string|null $storage where what was taken off for it is kept
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $place,
        public ?int $no,
        public ?string $storage,
    ) {}
}
