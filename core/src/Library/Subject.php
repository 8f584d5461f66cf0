<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

/** What a step is asked to apply to: an aircraft, a position of it, and what was answered on the card so far. */
final readonly class Subject
{
    /**
     * @param string $tail the aircraft's mark
     * @param string $variant its effectivity code
     * @param list<string> $options that are fitted to it
     * @param array<array-key, string> $answers by the id of the step; none for a step that is still open
     */
    public function __construct(
        public string $tail,
        public string $variant,
        public array $options = [],
        public array $answers = [],
    ) {}
}
