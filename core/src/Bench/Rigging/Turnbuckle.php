<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/**
 * Two turnbuckles of one circuit, turned equal and opposite: the surface comes to its place and the tension is kept.
 *
 * One turn of a barrel moves its cable twice the pitch. Each turn let out shows one more thread at each end of the
 * barrel, each taken up one fewer.
 */
final readonly class Turnbuckle
{
    /**
     * @param array{float, float} $letOut threads showing after it, at both ends; not below 0
     * @param array{float, float} $takeUp likewise
     * @param list<string> $reasons `threads_exposed`, `no_thread_left`, `uneven_ends`
     */
    private function __construct(
        public float $turns,
        public float $residual,
        public array $letOut,
        public array $takeUp,
        public array $reasons,
    ) {}

    /**
     * @param float $pitch of the thread, mm, above 0
     * @param float $radius of the horn, mm, above 0
     * @param float $error of the surface, degrees, less than 90 in size
     * @param float $step turns, above 0
     * @param array{float, float} $letOut threads showing at both ends of the one that is let out
     * @param array{float, float} $takeUp of the one that is taken up
     * @param float $most threads that may show
     *
     * @throws InputError at what is out of its range
     *
     * @pure
     */
    public static function turn(
        float $pitch,
        float $radius,
        float $error,
        float $step,
        array $letOut,
        array $takeUp,
        float $most,
    ): self {
        foreach (['pitch_mm' => $pitch, 'horn_radius_mm' => $radius, 'step_turns' => $step] as $field => $value) {
            if (! ($value > 0)) {
                throw InputError::notPositive($field);
            }
        }
        if (abs($error) >= 90) {
            throw InputError::at('error_deg', 'must be less than 90 in size');
        }
        $exact = $radius * sin(deg2rad(abs($error))) / (2 * $pitch);
        $steps = Near::floor($exact / $step + 0.5);
        if (! Near::atMost(2 * $pitch * $steps * $step, $radius)) {
            $steps = Near::floor($exact / $step);
        }
        $turns = $steps * $step;
        $moved = rad2deg(asin(min(1.0, 2 * $pitch * $turns / $radius)));
        $after = Buckles::showing($letOut, $takeUp, $most)->after($turns);
        $shown = static fn(float $n): float => max(0.0, $n);

        return new self(
            $turns,
            ($error <=> 0) * (abs($error) - $moved),
            array_map($shown, $after->letOut),
            array_map($shown, $after->takeUp),
            $after->reasons(),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'turns' => $this->turns, 'residual_deg' => $this->residual,
            'threads_after' => ['let_out' => $this->letOut, 'take_up' => $this->takeUp],
            'verdict' => $this->reasons === [] ? 'pass' : 'fail', 'reasons' => $this->reasons,
        ];
    }
}
