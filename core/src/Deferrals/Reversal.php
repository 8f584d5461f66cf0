<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use function array_reverse;

/**
 * The exact reverse of what made a defect safe: of what was really fitted and counted, the last first.
 *
 * Warnings come first, in their own order. A device comes off where it was fitted; one that came from another card was
 * there before, and comes off last. Hardware is counted back to the number that was counted away. What is marked `last`
 * comes after the rest, still the last first: a total after all that it counts, a lock after all that it guards. Then
 * both channels are set back and compared. An answer looked whether it holds; its reverse looks whether it works, and
 * so follows all that makes it.
 */
final class Reversal
{
    /**
     * @param list<SafeStep> $steps of the make-safe card, in their order
     * @param list<CarriedDevice> $devices still on
     * @param list<string> $channels set back and compared
     * @param list<string> $covers what an independent inspection looks at; none where none is due
     *
     * @return list<array{kind: string, title: string, text: string, spec: array<string, mixed>}> as in
     *   core/schema/step.json, but that a device is named by its id in the register, `spec.carried`
     *
     * @pure
     */
    public static function steps(
        array $steps,
        array $devices,
        array $channels,
        array $covers = [],
    ): array {
        $out = [];
        foreach ($steps as $step) {
            if ($step->kind === 'caution') {
                $out[] = self::step('caution', $step->title, $step->text, ['level' => $step->level]);
            }
        }
        $back = array_reverse($steps);
        $last = static fn(SafeStep $s): bool => $s->undo['last'] ?? false;
        $proves = static fn(SafeStep $s): bool => $s->kind === 'answer';
        foreach ([false, true] as $phase) {
            foreach ($back as $step) {
                if ($last($step) === $phase && ! $proves($step)) {
                    $out = [...$out, ...self::back($step, $devices)];
                }
            }
        }
        foreach ($devices as $device) {
            if ($device->no === null) {
                $out[] = self::off($device);
            }
        }
        foreach ($channels as $channel) {
            $out[] = self::asked(
                "Channel {$channel} set back",
                'By its own page or light, not by its switch.',
                'set',
                'inhibited',
            );
        }
        if ($channels !== []) {
            $all = 'Channels '.implode(' and ', $channels).' compared';
            $out[] = self::asked($all, 'Each read on its own; both say the same.', 'the same', 'not the same');
        }
        foreach ($steps as $step) {
            if ($proves($step)) {
                $out = [...$out, ...self::back($step, $devices)];
            }
        }
        if ($covers !== []) {
            $out[] = self::step('inspection', 'Independent inspection', '', ['covers' => $covers]);
        }

        return $out;
    }

    /**
     * @param list<CarriedDevice> $devices
     *
     * @return list<array{kind: string, title: string, text: string, spec: array<string, mixed>}> what takes one step
     *   back
     */
    private static function back(SafeStep $step, array $devices): array
    {
        $out = [];
        foreach ($devices as $device) {
            if ($device->no === $step->no) {
                $out[] = self::off($device);
            }
        }
        $text = $step->undo['text'] ?? '';
        if ($step->done && $step->kind === 'count') {
            $out[] = self::step('count', $step->undo['title'] ?? "Counted back: {$step->title}", $text, [
                'counts' => $step->counts, 'min' => $step->count ?? 0, 'max' => $step->count ?? 0,
            ]);
        } elseif ($step->done && $step->undo !== null && $step->kind !== 'safing_fit') {
            $out[] = ($step->undo['ask'] ?? false)
                ? self::asked($step->undo['title'], $text, 'so', 'not so')
                : self::step('instruction', $step->undo['title'], $text, []);
        }

        return $out;
    }

    /** @return array{kind: string, title: string, text: string, spec: array<string, mixed>} */
    private static function off(CarriedDevice $device): array
    {
        $stored = $device->storage === null ? '' : "What was taken off for it: {$device->storage}.";

        return self::step(
            'safing_remove',
            "{$device->kind} off, {$device->place}",
            $stored,
            ['carried' => (int) $device->id],
        );
    }

    /** @return array{kind: string, title: string, text: string, spec: array<string, mixed>} */
    private static function asked(string $title, string $text, string $good, string $bad): array
    {
        return self::step('answer', $title, $text, ['choices' => [
            ['id' => 'good', 'title' => $good, 'verdict' => 'pass'],
            ['id' => 'not', 'title' => $bad, 'verdict' => 'fail'],
        ]]);
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return array{kind: string, title: string, text: string, spec: array<string, mixed>}
     */
    private static function step(string $kind, string $title, string $text, array $spec): array
    {
        return ['kind' => $kind, 'title' => $title, 'text' => $text, 'spec' => $spec];
    }
}
