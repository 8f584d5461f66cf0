<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\InputError;

/** One way on from a question of a fault tree. */
final readonly class TreeBranch
{
    /**
     * @param string $id of the answer, unique in its question; `pass` and `fail` of a test, `done` of a card
     * @param float|null $min of a measurement, inclusive; null without an end
     * @param float|null $max of a measurement, not reached; null without an end
     * @param string|null $cause that it shows
     * @param string|null $to id of the next question; null where it ends
     */
    private function __construct(
        public string $id,
        public string $title,
        public ?float $min,
        public ?float $max,
        public ?string $cause,
        public ?string $to,
    ) {}

    /**
     * @param array<string, mixed> $branch as in core/schema/tree.json
     *
     * @throws InputError at `min` where it is not below `max`, with the empty path for one that leads nowhere
     *
     * @pure
     */
    public static function from(array $branch): self
    {
        $of = new self(
            (string) $branch['id'],
            (string) $branch['title'],
            isset($branch['min']) ? (float) $branch['min'] : null,
            isset($branch['max']) ? (float) $branch['max'] : null,
            isset($branch['cause']) ? (string) $branch['cause'] : null,
            isset($branch['to']) ? (string) $branch['to'] : null,
        );
        if ($of->min !== null && $of->max !== null && $of->min >= $of->max) {
            throw InputError::reversed('min');
        }
        // A test that passes ends the walk; the cause is what was put right before it.
        if ($of->cause === null && $of->to === null && $of->id !== 'pass') {
            throw InputError::at('', 'leads nowhere: name a cause, the next question, or both');
        }

        return $of;
    }

    /** Whether a measured value lies on this branch. @pure */
    public function takes(float $value): bool
    {
        return ($this->min === null || $value >= $this->min) && ($this->max === null || $value < $this->max);
    }
}
