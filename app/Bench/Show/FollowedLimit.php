<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Floor\Model\Step;
use Jorvel\Core\Bench\LimitKind;
use Jorvel\Core\Library\Flowing;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\Unit;

/**
 * By what a point is followed: its value within its limits; or, where these go by a chart or by other readings, what it
 * had in hand to the nearest of them, which is out below nought.
 */
final readonly class FollowedLimit
{
    private function __construct(public Unit $unit, public ?float $low, public ?float $high, public bool $inHand) {}

    /** Null for a point that is judged by nothing. */
    public static function of(Step $step, string $point): ?self
    {
        $spec = array_column($step->spec['points'] ?? [], null, 'id')[$point] ?? $step->spec['reading'] ?? [];
        if (self::varies($spec)) {
            return new self(Unit::parse((string) ($spec['limit']['unit'] ?? $spec['unit'])), 0.0, null, true);
        }
        $limit = $step->kind === 'transition'
            ? [
                'kind' => 'range', 'unit' => $step->spec['unit'], 'min' => -$step->spec['limit'],
                'max' => $step->spec['limit'],
            ]
            : $step->readingSpec($point)['limit'] ?? null;
        if ($limit === null) {
            return null;
        }
        $is = LimitKind::limit(Input::of((object) $limit, 'limit'));

        return new self($is->unit, $is->low, $is->high, false);
    }

    /**
     * Whether what it is judged by is another each time: by a chart, or by what else was read.
     *
     * @param array<string, mixed> $spec
     */
    private static function varies(array $spec): bool
    {
        return isset($spec['chart']) || Flowing::expressions($spec['limit'] ?? []) !== [];
    }

    /** @param object $reading a row of `readings`; null where it does not say what it had in hand */
    public function value(object $reading): ?float
    {
        return match (true) {
            ! $this->inHand => Unit::parse((string) $reading->unit)->to($this->unit, (float) $reading->value),
            $reading->margin === null => null,
            default => (float) $reading->margin,
        };
    }
}
