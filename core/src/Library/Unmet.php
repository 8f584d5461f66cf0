<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

/** Why a step does not apply: what it is meant for, and what is there instead. */
final readonly class Unmet
{
    /**
     * @param non-empty-list<string> $wanted any one of them would do
     * @param string|null $is what is there; null where there is nothing of the kind
     * @param string|null $step id of the step that was answered
     */
    public function __construct(
        public AppliesTo $by,
        public array $wanted,
        public ?string $is,
        public ?string $step = null,
        public ?string $why = null,
    ) {}
}
