<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\Recorder;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\TestAttempt;
use Jorvel\Core\Shared\Instant;

/** A recorder's file as somebody brings it. */
final readonly class NewRecording
{
    /**
     * @param Instant $begun of its first sample
     * @param TestAttempt|null $attempt at a functional test that it is of
     */
    public function __construct(
        public Aircraft $aircraft,
        public Recorder $recorder,
        public string $name,
        public Instant $begun,
        public string $text,
        public ?TestAttempt $attempt,
    ) {}
}
