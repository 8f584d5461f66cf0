<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Fleet\Model\Aircraft;
use Jorvel\Core\Shared\Instant;

/** What a crew says of a flight. */
final readonly class NewReport
{
    /**
     * @param Aircraft $aircraft with `type`
     * @param string|null $chapter as a person says; null for one that its words propose
     */
    public function __construct(
        public Aircraft $aircraft,
        public string $flight,
        public Instant $happened,
        public string $crew,
        public string $text,
        public ?string $chapter,
        public string $source,
    ) {}
}
