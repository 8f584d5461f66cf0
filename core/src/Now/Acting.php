<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\How;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Shared\Instant;

/** A system that is being acted on, or that was left energised or under pressure, wherever whoever began it is now. */
final readonly class Acting
{
    /**
     * @param list<string> $systems
     * @param bool $running its hold or test goes on; false: that is over, the power or pressure is still there
     */
    public function __construct(
        public string $id,
        public CardRef $card,
        public int $step,
        public string $title,
        public How $how,
        public array $systems,
        public Touch $touch,
        public Instant $since,
        public bool $running,
        public string $by,
    ) {}
}
