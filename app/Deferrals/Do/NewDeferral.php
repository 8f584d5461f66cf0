<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

/** How somebody wants a finding carried. */
final readonly class NewDeferral
{
    /**
     * @param string|null $position which of the units it is, where the list tells them apart
     * @param string|null $because why it is this part of the system, where its words do not say so
     * @param bool $placard that the placard is fitted: where nothing else has to be done first
     * @param list<int> $carry devices on the aircraft that stay on under it
     * @param bool $sure whoever decides has seen what it forbids together with what is carried
     */
    public function __construct(
        public int $item,
        public ?string $position,
        public ?string $because,
        public bool $placard,
        public array $carry,
        public bool $sure,
    ) {}
}
