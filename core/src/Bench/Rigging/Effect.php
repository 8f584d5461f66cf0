<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;

/** What +1 of an adjuster does to a point, and how sure that is: normal. */
final readonly class Effect
{
    /** A small effect is doubted as much as one of this share of the greatest on its point. */
    private const SHARE = 0.4;

    /** From this share of the book's on, an effect is said to be another. */
    private const OFF = 0.1;

    private function __construct(public float $mean, public float $sd) {}

    /** @throws InputError at `sd` below 0 @pure */
    public static function of(float $mean, float $sd): self
    {
        return $sd >= 0 ? new self($mean, $sd) : throw InputError::negative('sd');
    }

    /**
     * One from the book, which is off by so many per cent.
     *
     * @param float $greatest of all effects on its point, in size
     *
     * @pure
     */
    public static function book(float $mean, float $percent, float $greatest): self
    {
        return new self($mean, $percent / 100 * max(abs($mean), self::SHARE * $greatest));
    }

    /**
     * Whether it is another than the book says, by enough to be told.
     *
     * @pure
     */
    public function differsFrom(float $book): bool
    {
        return $book !== 0.0 && abs($this->mean - $book) > self::OFF * abs($book);
    }
}
