<?php

declare(strict_types=1);

namespace App\Floor\Show;

use Jorvel\Core\Shared\Day;

/** Something that was found on, or done to, a system of an aircraft. */
final readonly class PastEvent
{
    /**
     * @param string $kind `finding`, `card`, `item` or `part`
     * @param int $flown flights since
     * @param string|null $link to it in the application
     */
    public function __construct(
        public string $kind,
        public Day $on,
        public string $title,
        public string $said,
        public int $flown,
        public ?string $link = null,
    ) {}

    /** Whether somebody's hands were on the system: the first suspects of what is found next. */
    public function touched(): bool
    {
        return $this->kind !== 'finding';
    }
}
