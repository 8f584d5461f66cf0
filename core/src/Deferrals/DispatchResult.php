<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

/** Whether a sector may be flown with what is carried, under which restrictions, or why not. */
final readonly class DispatchResult
{
    /**
     * @param 'go'|'go_restricted'|'no_go'|'unknown' $verdict `unknown` only of {@see ComingFlights}
     * @param array<string, float> $restrictions merged: the smallest of each max, the largest of each min
     * @param list<array{id: string, code: string}> $reasons by item
     */
    public function __construct(public string $verdict, public array $restrictions, public array $reasons) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'verdict' => $this->verdict,
            'restrictions' => (object) $this->restrictions,
            'reasons' => $this->reasons,
        ];
    }
}
