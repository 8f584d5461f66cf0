<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Fleet\Do\ComponentMoves;
use App\Fleet\Do\GaugeBook;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Refused;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Unit;

/** Readings of a card that are a component's gauge: they reach its trend, and nobody types them twice. */
final readonly class Gauges
{
    public function __construct(
        private Clock $clock,
        private ComponentMoves $moves,
        private GaugeBook $book,
    ) {}

    /**
     * @param array<string, mixed> $reading of the step: `limit`, `gauge` (`position`, `filled`)
     *
     * @throws Refused when nothing with a gauge stands there, or no temperature was read
     */
    public function ask(Step $step, array $reading, StepInput $in): GaugeRead
    {
        $gauge = $reading['gauge'];
        $mark = $step->card->aircraft->mark;
        $component = $this->moves->at($step->card->aircraft, $gauge['position'])?->component;
        if ($component === null) {
            throw Refused::because("Nothing is fitted to {$mark} at {$gauge['position']}, as Fleet has it. Nothing was "
                .'saved.');
        }
        if ($component->gauge === null) {
            throw Refused::because("{$component->name()} has no gauge in Fleet. Nothing was saved.");
        }
        $temp = trim($in->entries['temp'] ?? '');
        if ($temp === '') {
            throw Refused::because('Read the temperature at the bottle as well: pressure goes with it. Nothing was '
                .'saved.');
        }

        return GaugeRead::of(
            $component,
            Entered::parse($in->entry, Unit::parse($reading['limit']['unit'])),
            Entered::parse($temp, Unit::C)->value,
            $gauge['filled'] ?? false,
        );
    }

    /**
     * What the steps read no longer stands.
     *
     * @param list<Step> $steps
     */
    public function takeBack(Person $by, array $steps, string $why): void
    {
        if ($steps !== []) {
            $this->book->takeBack($by, array_column($steps, 'id'), $why);
        }
    }

    public function commit(Person $by, Step $step, GaugeRead $gauge): void
    {
        $this->takeBack($by, [$step], "read again at {$step->card->number}, step {$step->no}");
        $this->book->add(
            $by,
            $gauge->component->id,
            (string) $this->clock->today(),
            $gauge->pressure(),
            $gauge->tempC,
            $gauge->filled,
            $step->id,
        );
    }
}
