<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

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
     */
    public function __construct(
        public array $people = [],
        public array $devices = [],
        public array $acting = [],
        public array $loans = [],
        public array $begun = [],
    ) {}

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
