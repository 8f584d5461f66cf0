<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/**
 * The threads that show at the four ends of two turnbuckles that are turned equal and opposite: each turn let out shows
 * one more at both ends of its barrel, each taken up one fewer.
 */
final readonly class Buckles
{
    /** How much the ends of one buckle may differ, in threads. */
    private const UNEVEN = 1;

    /**
     * @param array{float, float} $letOut threads showing at both ends of the one that a positive amount lets out
     * @param array{float, float} $takeUp of the one that it takes up
     * @param float $most threads that may show
     */
    private function __construct(public array $letOut, public array $takeUp, public float $most) {}

    /**
     * @param array{float, float} $letOut at least 0 as they are counted; less only as they would be
     * @param array{float, float} $takeUp likewise
     *
     * @throws InputError at `most` below 0
     *
     * @pure
     */
    public static function showing(array $letOut, array $takeUp, float $most): self
    {
        return $most >= 0 ? new self($letOut, $takeUp, $most) : throw InputError::negative('most');
    }

    /** After so many turns; negative where the other one is let out. @pure */
    public function after(float $turns): self
    {
        return new self(
            [$this->letOut[0] + $turns, $this->letOut[1] + $turns],
            [$this->takeUp[0] - $turns, $this->takeUp[1] - $turns],
            $this->most,
        );
    }

    /**
     * How far they can be turned the one way and the other: until too many threads show, or none is left.
     *
     * @return array{float, float} turns, at most 0 and at least 0
     *
     * @pure
     */
    public function reach(): array
    {
        $way = fn(array $out, array $in): float => max(0.0, min(
            $this->most - max($out[0], $out[1]),
            min($in[0], $in[1]),
        ));

        return [-$way($this->takeUp, $this->letOut), $way($this->letOut, $this->takeUp)];
    }

    /** @return list<string> `threads_exposed`, `no_thread_left`, `uneven_ends` @pure */
    public function reasons(): array
    {
        $ends = [$this->letOut[0], $this->letOut[1], $this->takeUp[0], $this->takeUp[1]];

        return array_keys(array_filter([
            'threads_exposed' => ! Near::atMost(max($ends), $this->most),
            'no_thread_left' => ! Near::atLeast(min($ends), 0.0),
            'uneven_ends' => ! Near::atMost(abs($this->letOut[0] - $this->letOut[1]), self::UNEVEN)
                || ! Near::atMost(abs($this->takeUp[0] - $this->takeUp[1]), self::UNEVEN),
        ]));
    }
}
