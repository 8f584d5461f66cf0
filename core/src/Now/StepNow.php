<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\Acts;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\InTest;
use Jorvel\Core\Floor\StepPlace;
use Jorvel\Core\Library\Unmet;
use Jorvel\Core\Shared\Instant;

/** One step of a card as it stands. */
final readonly class StepNow
{
    /**
     * @param Instant|null $begun since when its hold or test runs
     * @param Acts|null $acts what it does to a system
     * @param list<string> $ends systems that are without power or pressure again once it is done
     * @param string|null $group steps of one group are worked in any order among themselves
     * @param string|null $lane of a group: in order within it
     * @param bool $done nothing is left to do at it
     * @param bool $notApplicable it was answered so
     * @param Unmet|null $unmet why it does not apply to this aircraft
     * @param Handling|null $handling what it disturbs, joins and proves
     * @param InTest|null $test the functional test that it is part of
     * @param bool $notReached its attempt failed before it, or was broken off
     * @param list<string> $restsOn ids of the steps whose answers or marks it uses
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
        public ?string $lane = null,
        public bool $notApplicable = false,
        public ?Unmet $unmet = null,
        public ?Handling $handling = null,
        public ?string $id = null,
        public array $restsOn = [],
        public ?InTest $test = null,
        public bool $notReached = false,
    ) {}

    /** A hold or a test that goes on at this moment. @pure */
    public function underway(): bool
    {
        return ! $this->done && $this->begun !== null;
    }

    /** @pure */
    public function place(): StepPlace
    {
        return new StepPlace($this->no, $this->done, $this->kind === 'finding_prompt', $this->group, $this->lane);
    }
}
