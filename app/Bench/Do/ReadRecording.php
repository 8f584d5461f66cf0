<?php

declare(strict_types=1);

namespace App\Bench\Do;

use Jorvel\Core\Bench\SampleFile;

/** A recorder's file that was read, and what it goes beyond. */
final readonly class ReadRecording
{
    /**
     * @param list<array{rule: string, position: string, quantity: string, from: float, seconds: float, peak: float,
     *   unit: string, said: string}> $beyond
     */
    public function __construct(public SampleFile $file, public array $beyond) {}
}
