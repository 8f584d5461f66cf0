<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** The `clock` kind. */
final class ClockKind implements Kind
{
    public function name(): string
    {
        return 'clock';
    }

    public function compute(Input $in): array
    {
        $zone = $in->make('timezone', self::zone(...));
        $usage = $in->numbers('limits');
        $days = isset($usage['days']) ? (int) $usage['days'] : null;
        unset($usage['days']);
        $deferral = Deferral::of(
            Category::from($in->string('category')),
            $in->instant('discovered'),
            $zone,
            $days,
            $usage,
            $in->numbers('at_discovery'),
            $in->each(
                'extensions',
                static fn(Input $e): Extension => Extension::of($e->int('days'), $e->instant('granted')),
            ),
            array_map(intval(...), $in->numbers('rules')) + Deferral::RULES,
        );
        $asOf = $in->instant('as_of');
        $flying = Flying::of($asOf->dayIn($zone), $in->numbers('counters'), $in->numbers('rates'));

        return Clock::read($deferral, $asOf, $flying, $in->intOr('warn_days', 3))->toArray();
    }

    /** @throws InputError for a name that is no IANA time zone */
    public static function zone(string $name): \DateTimeZone
    {
        static $known = null;
        $known ??= array_flip(\DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC));

        return isset($known[$name])
            ? new \DateTimeZone($name)
            : throw InputError::at('', "\"{$name}\" is not an IANA time zone");
    }
}
