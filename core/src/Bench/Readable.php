<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\Near;
use Jorvel\Core\Shared\Quantity;

/** Whether an instrument can have shown a reading at all. */
enum Readable: string
{
    case Yes = 'yes';
    case OutOfRange = 'out_of_range';
    case TooFine = 'too_fine';

    /**
     * Within its range, and with no more than its resolution tells. A reading in another unit than the instrument's own
     * is not asked for its digits: they are those of the conversion.
     *
     * @pure
     */
    public static function of(Quantity $reading, Instrument $by): self
    {
        $shown = $reading->in($by->unit)->value;
        if (! Near::atLeast($shown, $by->low) || ! Near::atMost($shown, $by->high)) {
            return self::OutOfRange;
        }
        $marks = $shown / $by->resolution;

        return $reading->unit === $by->unit && abs($marks - round($marks)) > 1e-6 * max(1.0, abs($marks))
            ? self::TooFine
            : self::Yes;
    }
}
