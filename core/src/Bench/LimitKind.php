<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Quantity;

/** The `limit` kind. */
final class LimitKind implements Kind
{
    public function name(): string
    {
        return 'limit';
    }

    public function compute(Input $in): array
    {
        $unit = $in->unit('unit');
        $limit = self::limit($in->object('limit'));
        $instrument = $in->has('instrument') ? self::instrument($in->object('instrument')) : null;

        return Limit::judge(
            Quantity::of($in->number('value'), $unit),
            $limit,
            $in->day('on'),
            $instrument,
            $in->stringOr('decision', 'simple') === 'guarded',
        )->toArray();
    }

    /** @throws InputError for a field missing in its kind of limit, or one that belongs to another kind */
    public static function limit(Input $in): ReadingLimit
    {
        $kind = $in->string('kind');
        $wants = match ($kind) {
            'min' => ['min'],
            'max' => ['max'],
            'range' => ['min', 'max'],
            default => ['nominal', 'plus', 'minus'],
        };
        foreach (['min', 'max', 'nominal', 'plus', 'minus'] as $field) {
            if ($in->has($field) && ! in_array($field, $wants, true)) {
                throw $in->error($field, "does not belong to a limit of kind \"{$kind}\"");
            }
        }
        $unit = $in->unit('unit');

        return Input::within($in->path(''), static fn(): ReadingLimit => $kind === 'nominal'
            ? ReadingLimit::around($unit, $in->number('nominal'), $in->number('plus'), $in->number('minus'))
            : ReadingLimit::between(
                $unit,
                in_array('min', $wants, true) ? $in->number('min') : null,
                in_array('max', $wants, true) ? $in->number('max') : null,
            ));
    }

    /** @throws InputError */
    public static function instrument(Input $in): Instrument
    {
        [$low, $high] = $in->pair('range');
        $unit = $in->unit('unit');

        return Input::within($in->path(''), static fn(): Instrument => Instrument::of(
            $unit,
            $in->number('resolution'),
            $in->number('uncertainty'),
            $low,
            $high,
            $in->day('cal_due'),
        ));
    }
}
