<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Library\Show\View\AskedView;
use App\Library\Show\View\ChangeView;

/** What a file would change, found by comparing it with what is there. */
final readonly class Compared
{
    /**
     * @param list<ChangeView> $changes
     * @param list<ChangeView> $dates that move by it, and what stops each aircraft first
     * @param list<AskedView> $asked what may not be meant: said yes to before it is applied
     * @param list<string> $left what is there and not in the file; it stays as it is
     */
    public function __construct(
        public array $changes,
        public array $dates,
        public array $asked = [],
        public array $left = [],
    ) {}

    /** Of all of it, so that it is applied only as it was seen. */
    public function print(): string
    {
        return hash(
            'sha256',
            json_encode([$this->changes, $this->dates, $this->asked, $this->left], JSON_THROW_ON_ERROR),
        );
    }

    /** @return list<string> what is asked, each with its place */
    public function points(): array
    {
        return array_map(static fn(AskedView $a): string => "{$a->line}: {$a->message}", $this->asked);
    }
}
