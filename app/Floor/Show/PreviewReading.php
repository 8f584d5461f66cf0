<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Floor\Do\ChartLimit;
use App\Floor\Do\Flows;
use App\Floor\Do\TakeReading;
use App\Floor\FloorWords;
use App\Floor\Model\Step;
use App\Floor\Show\View\Preview;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** What would be said of a reading, while it is typed; nothing is kept. */
final readonly class PreviewReading
{
    public function __construct(private TakeReading $readings, private Flows $flows, private ShowBeside $beside) {}

    /** @param array<string, string> $entries of the other points of its sheet, by id */
    public function of(Step $step, string $point, string $entry, string $tool, array $entries): Preview
    {
        try {
            $spec = $this->flows->spec($step, $point);
            if ($spec === []) {
                return new Preview('invalid', "Step {$step->no} takes no such reading.", null);
            }
            $charted = $this->charted($step, (string) $spec['point'], $entries);
            $spec = $charted === null ? $spec : [...$spec, 'limit' => $charted];
            $read = $this->readings->tool($spec, $tool);
            $result = $this->readings->judge($spec, $entry, $read);
        } catch (Refused|InputError $e) {
            return new Preview('invalid', $e->getMessage(), null);
        }
        $passes = $result->verdict === Verdict::Pass;
        $value = Quantity::of($result->value, $result->unit);

        return new Preview(
            $result->verdict->value,
            FloorWords::reading($result->verdict->value, $result->margin, $result->unit->value),
            $result->value,
            $passes && TakeReading::unusual($spec, $result->value),
            $passes ? $this->beside->strange($step, (string) $spec['point'], $value, $entry, $read, $charted) : '',
            $charted === null ? '' : self::span($charted),
        );
    }

    /**
     * @param array<string, string> $entries
     *
     * @return array<string, mixed>|null the limit of a point that goes by a chart
     */
    private function charted(Step $step, string $point, array $entries): ?array
    {
        $points = (array) ($step->spec['points'] ?? []);

        return $step->kind !== 'sheet'
            ? null
            : ChartLimit::of($points, $point, ChartLimit::typed($points, $entries));
    }

    /** @param array<string, mixed> $limit */
    private static function span(array $limit): string
    {
        return Words::number($limit['nominal'] - $limit['minus']).' to '
            .Words::number($limit['nominal'] + $limit['plus']).' '.Unit::parse((string) $limit['unit'])->label();
    }
}
