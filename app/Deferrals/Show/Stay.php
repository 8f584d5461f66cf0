<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use Jorvel\Core\Deferrals\ClosureSlot;

/** A stay in which a deferral could be closed: a visit, some of the free days of a bay, or a day on the line. */
final readonly class Stay
{
    public const VISIT = 'visit';

    public const FREE = 'free';

    public const LINE = 'line';

    public function __construct(
        public ClosureSlot $slot,
        public string $kind,
        public string $title,
        public string $bay,
    ) {}

    /** What it is called in a sentence. */
    public function said(): string
    {
        return match ($this->kind) {
            self::VISIT => "in \"{$this->title}\"",
            self::FREE => "in {$this->bay}",
            default => 'on the line',
        };
    }
}
