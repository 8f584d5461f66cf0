<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Floor\Model\Severity;

/** What somebody says of something that is wrong. */
final readonly class NewFinding
{
    /**
     * @param int|null $step at which it was found
     * @param array{view: string, x: float, y: float}|null $spot on one view of the drawing, in metres
     * @param string|null $point of the round that the step is
     * @param bool $follows the rules of what follows are asked; not where a fault tree of its own is walked
     * @param list<list<array{float, float}>>|null $sketch strokes, 0 to 1 across and down
     */
    public function __construct(
        public string $place,
        public string $extent,
        public Severity $severity = Severity::Minor,
        public ?string $chapter = null,
        public ?int $step = null,
        public ?array $spot = null,
        public ?array $sketch = null,
        public ?string $point = null,
        public bool $follows = true,
    ) {}
}
