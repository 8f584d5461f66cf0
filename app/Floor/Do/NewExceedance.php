<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Floor\Model\Exceedance;
use App\Floor\Model\Step;
use Jorvel\Core\Shared\Instant;

/** What somebody says of a limit that was exceeded, or what a reading or a recorder shows. */
final readonly class NewExceedance
{
    /**
     * @param string $rule code of the rule whose table it is
     * @param float $peak in the table's unit
     * @param float $seconds for which the limit was passed
     * @param string $source one of {@see Exceedance::SOURCES}
     * @param Step|null $step whose reading it is
     */
    public function __construct(
        public string $rule,
        public string $position,
        public float $peak,
        public float $seconds,
        public string $source,
        public Instant $happened,
        public string $note = '',
        public ?Step $step = null,
    ) {}
}
