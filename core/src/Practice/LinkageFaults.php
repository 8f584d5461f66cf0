<?php

declare(strict_types=1);

namespace Jorvel\Core\Practice;

/** What is wrong with a simulated linkage. */
final readonly class LinkageFaults
{
    /**
     * @param float $book standard deviation of the true effects about the book's, as a share
     * @param float $play steps of an adjuster that do nothing after it changed its direction
     * @param float $friction the share of a turn's effect that only comes with the next turn of anything
     * @param int|null $slips the run after which an adjuster slips by two steps; null for none
     * @param int|null $misread the run in which one gauge is read eight of its noises off; null for none
     */
    public function __construct(
        public float $book = 0.0,
        public float $play = 0.0,
        public float $friction = 0.0,
        public ?int $slips = null,
        public ?int $misread = null,
    ) {}
}
