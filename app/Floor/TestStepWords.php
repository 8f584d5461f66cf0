<?php

declare(strict_types=1);

namespace App\Floor;

use App\Floor\Model\Step;
use App\Shared\Words;
use Jorvel\Core\Floor\AttemptState;
use Jorvel\Core\Shared\Unit;

/** The steps of functional tests on paper: what they ask, with blanks, and what came of them. */
final class TestStepWords
{
    private const BLANK = '__________';

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<string>
     */
    public static function blanks(string $kind, array $spec): array
    {
        $blank = self::BLANK;
        $unit = isset($spec['unit']) ? self::unit($spec['unit']) : '';

        return match ($kind) {
            'attempt' => self::attempt($spec),
            'verdict' => ['□ passed   □ failed   □ not valid   □ broken off, because '.$blank],
            'sheet' => self::sheet($spec),
            'stabilise' => [
                "{$spec['signal']}: {$spec['target']} ± {$spec['tolerance']} {$unit} for {$spec['seconds']} s:   "
                    .'□ from ______ to ______',
            ],
            'reference' => ["{$spec['point']}: {$blank} {$unit}"],
            'transition' => [
                "{$spec['point']}, within {$spec['limit']} {$unit} of the reference for {$spec['watch']} s:",
                "highest {$blank}   lowest {$blank}   settled at {$blank} {$unit}",
                ...isset($spec['partner']) ? ["{$spec['partner']['point']}, at its farthest: {$blank} {$unit}"] : [],
            ],
            'sequence' => [implode('   ', array_map(
                static fn(array $i): string => "{$i['title']}: ____.",
                $spec['items'],
            )).'   (1, 2, 3)'],
            'indication' => [
                "{$spec['of']}:",
                ...array_map(
                    static fn(array $s): string => $s['title'].(($s['proves'] ?? false) ? ' (proves it)' : '')
                        .':   □ yes   □ no',
                    $spec['sources'],
                ),
            ],
            'precharge' => [
                ucfirst($spec['reading']['point']).', where the gauge falls away: '.$blank.'   ['
                    .StepWords::limit($spec['reading']['limit']).']',
            ],
            'leak' => [
                "{$spec['point']}, {$spec['minutes']} min, at most {$spec['max_per_hour']} {$unit} an hour:",
                "start {$blank} {$unit} at ______ °C, time ______   end {$blank} {$unit} at ______ °C, time ______",
            ],
            'selftest' => [
                ...array_map(static fn(array $s): string => "{$s['title']}:   □ yes   □ no", $spec['screens'] ?? []),
                implode('   ', array_map(
                    static fn(string $c): string => "channel {$c}: □ passed, code ______",
                    $spec['channels'],
                )),
            ],
            default => [],
        };
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<string>
     */
    private static function attempt(array $spec): array
    {
        return array_values(array_filter([
            'Attempt ____',
            ...array_map(static fn(array $c): string => "{$c['title']}: ".self::BLANK.' '.($c['unit'] ?? '')
                .(isset($c['min']) || isset($c['max'])
                    ? '   ['.Words::within($c['min'] ?? null, $c['max'] ?? null, $c['unit'] ?? '').']'
                    : ''), $spec['conditions'] ?? []),
            isset($spec['stop']) ? "The words that mean stop: {$spec['stop']}" : '',
            isset($spec['limits'])
                ? 'Watched all the time: '.implode('; ', array_map(TestWords::limit(...), $spec['limits']))
                : '',
            isset($spec['inspect']) ? 'Broken off: put everything back; inspect '.implode(', ', $spec['inspect']) : '',
        ]));
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<string>
     */
    private static function sheet(array $spec): array
    {
        $blank = ($spec['left'] ?? false) ? 'as found '.self::BLANK.'   as left '.self::BLANK : self::BLANK;

        return [
            ...array_map(
                static fn(array $p): string => ucfirst($p['place']).match (true) {
                    isset($p['limit']) => ' ['.StepWords::limit($p['limit']).']',
                    isset($p['chart']) => ' [by the chart: +'.$p['chart']['plus'].' −'.$p['chart']['minus'].' '
                        .self::unit($p['unit']).']',
                    default => '',
                }.": {$blank} ".self::unit($p['unit']),
                $spec['points'],
            ),
            ...array_map(
                static fn(array $s): string => "{$s['title']}: apart by ______ [at most {$s['max']}]",
                $spec['spread'] ?? [],
            ),
            ...array_map(
                static fn(array $d): string => "{$d['title']}: ______ ".self::unit($d['unit'])
                    .(isset($d['limit']) ? ' ['.StepWords::limit($d['limit']).']' : ''),
                $spec['derived'] ?? [],
            ),
        ];
    }

    /**
     * What came of a step, where it says more than its readings and its answer.
     *
     * @param array<string, mixed> $r
     *
     * @return list<string>
     */
    public static function came(Step $step, array $r): array
    {
        $unit = isset($r['unit']) ? ' '.self::unit($r['unit']) : '';
        $number = static fn(mixed $v): string => Words::number((float) $v, 3);
        $lines = match ($step->kind) {
            'attempt' => isset($r['attempt']) ? [
                "Attempt {$r['attempt']}",
                ...array_map(static fn(array $c): string => "{$c['title']}: {$c['said']}", $r['conditions'] ?? []),
            ] : [],
            'verdict' => isset($r['attempt']) ? [
                "Attempt {$r['attempt']} ".TestWords::state(AttemptState::from($r['state']))
                    .($r['decided'] === [] ? '' : ': '.implode('; ', $r['decided'])),
            ] : [],
            'sheet' => array_map(
                static fn(array $l): string => "{$l['title']}: ".$number($l['value'])
                    .($l['unit'] === null ? ' apart' : " {$l['unit']}")
                    .($l['verdict'] === 'pass' ? '' : ', not within'
                        .($l['outlier'] === null ? '' : '; farthest off: '.self::place($step, $l['outlier']))),
                $r['lines'] ?? [],
            ),
            'stabilise' => isset($r['held'])
                ? ["Held for {$number($r['held'])} s".(isset($r['recorded']) ? ', in the recording' : '')]
                : [],
            'reference' => isset($r['reference'])
                ? ["Reference {$number($r['reference'])}{$unit}".(isset($r['recorded']) ? ', from the recording' : '')]
                : [],
            'transition' => isset($r['excursion']) ? [
                ($r['excursion'] > 0 ? '+' : '')."{$number($r['excursion'])}{$unit} from {$number($r['reference'])}"
                    ." (highest {$number($r['high'])}, lowest {$number($r['low'])}"
                    .($r['settled'] === null ? '' : ", settled at {$number($r['settled'])}").')'
                    .($r['unusual'] ? ', unusual' : ''),
                ...$r['partner'] === null
                    ? []
                    : ['The other engine '.($r['partner'] > 0 ? '+' : '')."{$number($r['partner'])}{$unit}"],
                ...isset($r['recorded']) ? ["From the recording, at {$number($r['recorded'])} s"] : [],
            ] : [],
            'precharge' => isset($r['precharge']) ? ["Falls away at {$number($r['precharge'])}{$unit}"] : [],
            default => [],
        };

        return $lines === [] || ! isset($r['note']) ? $lines : [...$lines, "Remarked: {$r['note']}"];
    }

    /** The place of a point of a sheet, or the title of one of a rigging sheet; otherwise its own name. */
    public static function place(Step $step, string $point): string
    {
        $of = array_column($step->spec['points'] ?? [], null, 'id')[$point] ?? [];

        return $of['place'] ?? $of['title'] ?? $point;
    }

    private static function unit(string $unit): string
    {
        return Unit::parse($unit)->label();
    }
}
