<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\Binomial;
use Jorvel\Core\Shared\Gamma;
use Jorvel\Core\Shared\InputError;

/**
 * Is this happening too often.
 *
 * The bounds are the exact ones of a Poisson count (Garwood, 1936); against a baseline, the events of both fall by
 * chance into one or the other in proportion to their hours, which is a binomial (Przyborowski and Wilenski, 1940).
 * Contract: docs/core.md, core/schema/rate.json.
 */
final readonly class Rate
{
    /** More than that many would be expected to turn up by chance once in forty times. */
    private const ALERT = 0.025;

    /**
     * @param float $low of the rate, as it and $high in events per so many hours
     * @param float|null $expected events, as often as in the baseline; null without one, as the next
     * @param float|null $more the chance of at least as many
     */
    private function __construct(
        public float $rate,
        public float $low,
        public float $high,
        public ?float $expected,
        public ?float $more,
        public bool $alert,
    ) {}

    /**
     * @param int $events 0 to 1,000,000
     * @param float $exposure hours, above 0
     * @param float $per hours that the rate is said by, above 0
     * @param float $confidence above 0 and below 1
     * @param array{int, float}|null $baseline its events and hours
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        int $events,
        float $exposure,
        float $per = 1000.0,
        float $confidence = 0.9,
        ?array $baseline = null,
    ): self {
        foreach (['exposure' => $exposure, 'per' => $per, 'baseline.exposure' => $baseline[1]
            ?? 1.0] as $at => $above) {
            if ($above <= 0) {
                throw InputError::notPositive($at);
            }
        }
        if ($confidence <= 0 || $confidence >= 1) {
            throw InputError::at('confidence', 'must be above 0 and below 1');
        }
        foreach (['events' => $events, 'baseline.events' => $baseline[0] ?? 0] as $at => $count) {
            if ($count < 0 || $count > 1_000_000) {
                throw InputError::at($at, 'must be a whole number from 0 to 1,000,000');
            }
        }
        $tail = (1 - $confidence) / 2;
        $more = $baseline === null ? null : Binomial::atLeast(
            $events,
            $events + $baseline[0],
            $exposure / ($exposure + $baseline[1]),
        );

        return new self(
            $events / $exposure * $per,
            $events === 0 ? 0.0 : Gamma::exceeded($events, 1 - $tail) / $exposure * $per,
            Gamma::exceeded($events + 1, $tail) / $exposure * $per,
            $baseline === null ? null : $baseline[0] / $baseline[1] * $exposure,
            $more,
            $more !== null && $more < self::ALERT,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'rate' => $this->rate,
            'low' => $this->low,
            'high' => $this->high,
            'expected' => $this->expected,
            'p_more' => $this->more,
            'alert' => $this->alert,
        ];
    }
}
