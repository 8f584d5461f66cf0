<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

/** What to turn, which way and how far, and what should then be read. */
final readonly class RigResult
{
    /**
     * @param list<array{adjuster: string, amount: float, direction: Turn}> $moves amounts above 0
     * @param array<string, float> $predicted by point
     * @param list<string> $unmet points in order, then matches as `a=b`
     * @param list<string> $recheck every point a moved adjuster affects, in the points' order
     * @param bool $proven whether nothing better exists
     */
    public function __construct(
        public array $moves,
        public array $predicted,
        public array $unmet,
        public array $recheck,
        public bool $proven,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'moves' => array_map(
                static fn(array $m): array => [...$m, 'direction' => $m['direction']->value],
                $this->moves,
            ),
            'predicted' => (object) $this->predicted,
            'within' => $this->unmet === [],
            'unmet' => $this->unmet,
            'recheck' => $this->recheck,
            'proven' => $this->proven,
        ];
    }
}
