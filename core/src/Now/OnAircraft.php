<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\Wholeness;

/**
 * Everything that is at an aircraft at this moment, on whatever card of whatever visit: people, devices and open lines,
 * systems being acted on, tools and rags that are out, and the cards that somebody has begun.
 */
final readonly class OnAircraft
{
    /**
     * @param list<PersonAt> $people in the order in which they came
     * @param list<DeviceOn> $devices the oldest first
     * @param list<Acting> $acting the first begun first
     * @param list<LoanOut> $loans
     * @param list<CardRef> $begun in work or signed, not closed
     * @param list<Disturbance> $disturbances of it and what is fitted to it, of everything that is not whole
     */
    public function __construct(
        public array $people = [],
        public array $devices = [],
        public array $acting = [],
        public array $loans = [],
        public array $begun = [],
        public array $disturbances = [],
    ) {}

    /** @return list<NotWhole> what was disturbed and is not joined, or not proven since @pure */
    public function notWhole(): array
    {
        return Wholeness::missing($this->disturbances);
    }

    /** @return list<LoanOut> out on one card @pure */
    public function loansOf(string $cardId): array
    {
        return array_values(array_filter($this->loans, static fn(LoanOut $l): bool => $l->card->id === $cardId));
    }

    /** @return list<Acting> begun on one card @pure */
    public function actingOf(string $cardId): array
    {
        return array_values(array_filter($this->acting, static fn(Acting $a): bool => $a->card->id === $cardId));
    }

    /** @return list<PersonAt> at one card @pure */
    public function at(string $cardId): array
    {
        return array_values(array_filter($this->people, static fn(PersonAt $p): bool => $p->card->id === $cardId));
    }
}
