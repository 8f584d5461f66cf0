<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

/** Who takes which slot, and for each that stays open why each person cannot. */
final readonly class AssignResult
{
    /**
     * @param array<array-key, string> $assigned person by slot, in the slots' order
     * @param list<array{slot: string, why: array<array-key, string>}> $open in the slots' order; a reason for every
     *   person
     * @param bool $proven nobody can fill more, or as many more evenly
     */
    public function __construct(public array $assigned, public array $open, public bool $proven) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'assigned' => (object) $this->assigned,
            'open' => array_map(
                static fn(array $o): array => ['slot' => $o['slot'], 'why' => (object) $o['why']],
                $this->open,
            ),
            'proven' => $this->proven,
        ];
    }
}
