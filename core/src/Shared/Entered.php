<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/** A reading as somebody typed it: `8.1`, `8,1`, `8,1 Nm`. */
final class Entered
{
    /**
     * Reads a number in the field's unit. One comma or one point is the decimal sign; a unit may follow if it is the field's.
     *
     * @throws InputError for anything else: no number, two separators, another unit
     *
     * @pure
     */
    public static function parse(string $text, Unit $unit): Quantity
    {
        $text = trim($text);
        if (preg_match('/^([+\-\x{2212}]?\d+(?:[.,]\d+)?)\s*(\D.*)?$/u', $text, $m) !== 1) {
            throw InputError::at('value', $text === ''
                ? 'is empty: enter a reading'
                : "\"{$text}\" is not a reading: enter a number in {$unit->label()}, with one decimal comma or point");
        }
        $named = trim($m[2] ?? '');
        if ($named !== '' && $named !== $unit->value && $named !== $unit->label()) {
            throw InputError::at('value', "the reading is wanted in {$unit->label()}, not in \"{$named}\": read it again in {$unit->label()}");
        }

        return Quantity::of((float) strtr($m[1], [',' => '.', "\u{2212}" => '-']), $unit);
    }
}
