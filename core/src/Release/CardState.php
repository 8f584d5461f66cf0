<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

/** What release asks of one card. */
final readonly class CardState
{
    /**
     * @param list<string> $performedBy
     * @param list<string> $recheckOpen points to be read again after an adjustment
     */
    public function __construct(
        public string $id,
        public bool $closed,
        public int $stepsOpen,
        public bool $critical,
        public array $performedBy,
        public ?string $duplicateBy,
        public array $recheckOpen,
        public bool $revisionCurrent,
    ) {}

    /** A closed card of an earlier visit that rests on something no longer trusted. @pure */
    public static function inDoubt(string $id, string $what): self
    {
        return new self($id, true, 0, false, [], null, [$what], true);
    }
}
