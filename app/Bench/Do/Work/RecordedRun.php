<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\Samples;

/** A recorded run as it is judged. */
final readonly class RecordedRun
{
    /**
     * @param list<string> $modes of each sample
     * @param list<array{from: float, to: float, line: int}> $gaps
     */
    public function __construct(public Samples $samples, public array $modes, private array $gaps) {}

    /** @throws Refused where nothing was recorded for a part of a stretch */
    public function requireWhole(float $from, float $to): void
    {
        foreach ($this->gaps as $gap) {
            if ($gap['from'] < $to && $gap['to'] > $from) {
                throw Refused::because('The recording has a gap of '.Words::number($gap['to'] - $gap['from'], 1)
                    ." s after line {$gap['line']}, inside what is judged. Nothing was saved.");
            }
        }
    }
}
