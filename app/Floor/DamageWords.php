<?php

declare(strict_types=1);

namespace App\Floor;

use App\Floor\Model\Damage;
use App\Shared\Words;
use Jorvel\Core\Floor\DamageGrowth;
use Jorvel\Core\Floor\DamageSize;

/** What is said of a damage. */
final class DamageWords
{
    /** "17 mm long, 0.4 mm deep, 32 mm from an edge, 26 mm from a fastener". */
    public static function size(?DamageSize $size): string
    {
        if ($size === null) {
            return 'not measured yet';
        }
        $mm = static fn(float $v): string => Words::number($v, 2).' mm';

        return implode(', ', array_filter([
            "{$mm($size->length)} long",
            $size->depth === null ? '' : "{$mm($size->depth)} deep",
            $size->edge === null ? '' : "{$mm($size->edge)} from an edge",
            $size->fastener === null ? '' : "{$mm($size->fastener)} from a fastener",
        ]));
    }

    /** @param list<string> $against as of {@see Damage::against()} */
    public static function against(array $against, Damage $damage): string
    {
        $said = array_map(static function (string $what) use ($damage): string {
            $name = str_replace('unmeasured:', '', $what);
            $limit = Words::number($damage->limits[$name] ?? 0, 2).' mm';
            $allowed = in_array($name, ['length', 'depth'], true) ? "at most {$limit}" : "at least {$limit}";
            $of = ['edge' => 'distance to an edge', 'fastener' => 'distance to a fastener'][$name] ?? $name;

            return "its {$of}".(str_starts_with($what, 'unmeasured:') ? ' is not measured' : '').", {$allowed}";
        }, $against);

        return 'Not allowed as it is: '.implode('; ', $said).($damage->source === '' ? '' : " ({$damage->source})").'.';
    }

    /** "6 mm more since; 4 mm in 100 h; at that pace 75 h until it is no longer allowed". */
    public static function growth(DamageGrowth $growth): ?string
    {
        if ($growth->since === null) {
            return null;
        }
        if (abs($growth->since) < 1e-9) {
            return 'as long as before';
        }

        return Words::number(abs($growth->since), 1).' mm '.($growth->since > 0 ? 'longer' : 'shorter').' than before'
            .($growth->perHundred === null || $growth->since < 0
                ? ''
                : ', '.Words::number($growth->perHundred, 1).' mm in 100 h')
            .($growth->hoursLeft === null
                ? ''
                : '; at that pace '.Words::number($growth->hoursLeft, 0).' h until it is no longer allowed');
    }
}
