<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\Acts;
use Jorvel\Core\Floor\StepPlace;
use Jorvel\Core\Shared\Instant;

/** One step of a card as it stands. */
final readonly class StepNow
{
    /**
     * @param Instant|null $begun since when its hold or test runs
     * @param Acts|null $acts what it does to a system
     * @param list<string> $ends systems that are without power or pressure again once it is done
     * @param string|null $group steps of one group are worked in any order among themselves
     */
    public function __construct(
        public int $no,
        public string $kind,
        public string $title,
        public bool $done,
        public ?Instant $begun = null,
        public ?Acts $acts = null,
        public array $ends = [],
        public ?string $group = null,
    ) {}

    /** A hold or a test that goes on at this moment. @pure */
    public function underway(): bool
    {
        return ! $this->done && $this->begun !== null;
    }

    /** @pure */
    public function place(): StepPlace
    {
        return new StepPlace($this->no, $this->done, $this->kind === 'finding_prompt', $this->group);
    }
}
