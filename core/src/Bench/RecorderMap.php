<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_column;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/**
 * How a recorder writes its file: which column is the time and in what it counts, which is the mode of the control, and
 * which signal in which unit the others are. It is kept for each recorder, so that nobody maps a file twice.
 */
final readonly class RecorderMap
{
    public const BASES = ['s', 'ms', 'min', 'clock'];

    /**
     * @param string $base `s`, `ms`, `min`, or `clock`: hours, minutes and seconds of a day
     * @param array<string, string> $modes what stands in the mode's column, by `auto` and `manual`; empty without one
     * @param list<array{column: string, signal: string, unit: Unit, rule: string|null, position: string|null}> $signals
     * @param non-empty-string $separator
     * @param bool $unitsRow whether the second line has the unit of each column
     */
    private function __construct(
        public string $time,
        public string $base,
        public ?string $mode,
        public array $modes,
        public array $signals,
        public string $separator,
        public bool $unitsRow,
    ) {}

    /**
     * @param array<string, mixed> $map `time` (`column`, `base`), `mode`? (`column`, `auto`, `manual`), `signals`
     *   (`column`, `signal`, `unit`, `rule`?, `position`?), `separator`?, `units_row`?
     *
     * @throws InputError at the field
     *
     * @pure
     */
    public static function from(array $map): self
    {
        $time = $map['time']['column'] ?? throw InputError::missing('time.column');
        $base = $map['time']['base'] ?? 's';
        if (! in_array($base, self::BASES, true)) {
            throw InputError::notAmong('time.base', implode(', ', self::BASES), (string) $base);
        }
        $signals = [];
        foreach (array_values($map['signals'] ?? []) as $i => $s) {
            foreach (['column', 'signal', 'unit'] as $field) {
                if (! is_string($s[$field] ?? null) || $s[$field] === '') {
                    throw InputError::missing("signals.{$i}.{$field}");
                }
            }
            if (in_array($s['signal'], array_column($signals, 'signal'), true)) {
                throw InputError::usedTwice("signals.{$i}.signal", $s['signal']);
            }
            try {
                $unit = Unit::parse($s['unit']);
            } catch (InputError $e) {
                throw $e->under("signals.{$i}.unit");
            }
            if (isset($s['rule']) !== isset($s['position'])) {
                throw InputError::missing("signals.{$i}.".(isset($s['rule']) ? 'position' : 'rule'));
            }
            $signals[] = [
                'column' => $s['column'], 'signal' => $s['signal'], 'unit' => $unit, 'rule' => $s['rule'] ?? null,
                'position' => $s['position'] ?? null,
            ];
        }
        if ($signals === []) {
            throw InputError::empty('signals');
        }
        $mode = $map['mode'] ?? null;
        if (
            $mode !== null
            && (! isset($mode['column'], $mode['auto'], $mode['manual']) || $mode['auto'] === $mode['manual'])
        ) {
            throw InputError::at('mode', 'needs its column, and what stands there for auto and for manual');
        }
        $separator = $map['separator'] ?? ',';
        if (! in_array($separator, [',', ';', "\t"], true)) {
            throw InputError::notAmong('separator', 'comma, semicolon, tab', (string) $separator);
        }

        return new self(
            $time,
            $base,
            $mode['column'] ?? null,
            $mode === null ? [] : ['auto' => (string) $mode['auto'], 'manual' => (string) $mode['manual']],
            $signals,
            $separator,
            (bool) ($map['units_row'] ?? false),
        );
    }

    /** @return array<string, Unit> by signal @pure */
    public function units(): array
    {
        return array_column($this->signals, 'unit', 'signal');
    }
}
