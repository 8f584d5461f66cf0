<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/** A reading as somebody typed it: `8.1`, `8,1`, `8,1 Nm`. */
final class Entered
{
    /**
     * Reads a number in the field's unit, in the digits 0 to 9. One comma or one point is the decimal sign; a unit may
     * follow if it is the field's. A time is above nought: whatever was timed took some.
     *
     * @throws InputError for anything else: no number, two separators, another unit, a time at or below 0
     *
     * @pure
     */
    public static function parse(string $text, Unit $unit): Quantity
    {
        $text = trim($text);
        if (preg_match('/^([+\-\x{2212}]?[0-9]+(?:[.,][0-9]+)?)\s*(\D.*)?$/uD', $text, $m) !== 1) {
            throw InputError::at('value', $text === ''
                ? 'is empty: enter a reading'
                : "\"{$text}\" is not a reading: enter a number in {$unit->label()}, with one decimal comma or point");
        }
        $named = trim($m[2] ?? '');
        if ($named !== '' && $named !== $unit->value && $named !== $unit->label()) {
            throw InputError::at(
                'value',
                "the reading is wanted in {$unit->label()}, not in \"{$named}\": read it again in {$unit->label()}",
            );
        }

        $value = (float) strtr($m[1], [',' => '.', "\u{2212}" => '-']);
        if ($value <= 0 && $unit->dimension() === 'time') {
            throw InputError::at('value', "\"{$text}\" is no time: enter how long it took, above 0");
        }

        return Quantity::of($value, $unit);
    }
}
