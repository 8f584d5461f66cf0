<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** A step as the order of its card sees it. */
final readonly class StepPlace
{
    /**
     * @param bool $free holds nothing up and waits for nothing that may still be asked, as a finding prompt does
     * @param string|null $group steps that stand together under one name may be worked in any order among themselves
     * @param string|null $lane of the group: steps of one lane are worked in order, the lanes in any
     */
    public function __construct(
        public int $no,
        public bool $done,
        public bool $free = false,
        public ?string $group = null,
        public ?string $lane = null,
    ) {}
}
