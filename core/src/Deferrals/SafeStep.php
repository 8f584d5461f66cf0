<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

/** A step by which a defect was made safe, as it was worked. */
final readonly class SafeStep
{
    /**
     * @param string $kind as in core/schema/step.json
     * @param array{title: string, text?: string, ask?: bool, last?: bool}|null $undo what takes it back
     * @param bool $done worked; not when it did not apply
     * @param string $counts what was counted: bolts
     * @param float|null $count how many
     */
    public function __construct(
        public int $no,
        public string $kind,
        public string $title,
        public string $text,
        public ?array $undo,
        public bool $done,
        public string $level = 'warning',
        public string $counts = '',
        public ?float $count = null,
    ) {}
}
