<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

/**
 * Where the levers of a linkage stand on its sheet: sizes in units of the sheet, y going down, angles in degrees from
 * the right and against the clock.
 */
final readonly class Linkage
{
    /**
     * @param array{width: float|int, height: float|int, parts: list<array<string, mixed>>} $drawing as in
     *   core/schema/step.json
     * @param array<string, float> $read by point
     */
    private function __construct(private array $drawing, private array $read) {}

    /**
     * @param array{width: float|int, height: float|int, parts: list<array<string, mixed>>} $drawing
     * @param array<string, float> $read by point
     *
     * @pure
     */
    public static function at(array $drawing, array $read): self
    {
        return new self($drawing, $read);
    }

    /**
     * Every part as a line: from where to where.
     *
     * @return list<array{part: array<string, mixed>, from: array{float, float}, to: array{float, float}}> screws are
     *   spots, from and to the same
     *
     * @pure
     */
    public function lines(): array
    {
        $out = [];
        foreach ($this->drawing['parts'] as $part) {
            $at = self::spot($part['at'] ?? [0, 0]);
            [$from, $to] = match ($part['kind']) {
                'lever', 'cam' => [$at, $this->tip($part)],
                'rod', 'cable' => [$this->joint($part['from'] ?? null), $this->joint($part['to'] ?? null)],
                default => [$at, $at],
            };
            $out[] = ['part' => $part, 'from' => $from, 'to' => $to];
        }

        return $out;
    }

    /**
     * The direction of a reading on the sheet.
     *
     * @param array<string, mixed> $part
     *
     * @pure
     */
    public static function angle(array $part, float $value): float
    {
        return (float) ($part['zero'] ?? 0) + ($part['sense'] ?? 1) * (float) ($part['scale'] ?? 1) * $value;
    }

    /**
     * @param array<string, mixed> $part a lever
     *
     * @return array{float, float}
     */
    private function tip(array $part): array
    {
        $at = self::spot($part['at'] ?? [0, 0]);
        $value = isset($part['point']) ? $this->read[$part['point']] ?? null : 0.0;
        if ($value === null) {
            return $at;
        }
        $angle = deg2rad(self::angle($part, $value));

        return [
            $at[0] + (float) ($part['length'] ?? 0) * cos($angle),
            $at[1] - (float) ($part['length'] ?? 0) * sin($angle),
        ];
    }

    /** @return array{float, float} */
    private function joint(mixed $of): array
    {
        if (is_array($of)) {
            return self::spot($of);
        }
        foreach ($this->drawing['parts'] as $part) {
            if (($part['id'] ?? null) === $of && $of !== null) {
                return $this->tip($part);
            }
        }

        return [0.0, 0.0];
    }

    /**
     * @param array<array-key, mixed> $spot
     *
     * @return array{float, float}
     */
    private static function spot(array $spot): array
    {
        return [(float) $spot[0], (float) $spot[1]];
    }
}
