<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function count;
use function intdiv;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** Readings that should be alike: left and right, gauge and cockpit, before and after. */
final readonly class Alike
{
    /**
     * @param int|null $outlier index of the reading farthest from the median, the first of equals; null where they are
     *   alike
     */
    private function __construct(
        public Verdict $verdict,
        public float $spread,
        public float $median,
        public ?int $outlier,
    ) {}

    /**
     * @param list<float> $values in one unit
     * @param float $most spread, highest less lowest, in that unit; not negative
     *
     * @throws InputError without a value
     *
     * @pure
     */
    public static function of(array $values, float $most): self
    {
        if ($values === []) {
            throw InputError::at('values', 'must hold at least one value');
        }
        $sorted = $values;
        sort($sorted);
        $n = count($sorted);
        $median = ($sorted[intdiv($n - 1, 2)] + $sorted[intdiv($n, 2)]) / 2;
        $spread = $sorted[$n - 1] - $sorted[0];
        if (Near::atMost($spread, $most)) {
            return new self(Verdict::Pass, $spread, $median, null);
        }
        $outlier = 0;
        foreach ($values as $i => $value) {
            if (abs($value - $median) > abs($values[$outlier] - $median) + Near::noise($median)) {
                $outlier = $i;
            }
        }

        return new self(Verdict::Fail, $spread, $median, $outlier);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'verdict' => $this->verdict->value,
            'spread' => $this->spread,
            'median' => $this->median,
            'outlier' => $this->outlier,
        ];
    }
}
