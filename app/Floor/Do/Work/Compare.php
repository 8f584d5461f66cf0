<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Model\Step;
use App\Shared\Refused;
use App\Stores\Do\ToolDesk;
use Jorvel\Core\Bench\Alike;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Unit;

/** An indication beside the real thing: both are kept, and they must agree. */
final readonly class Compare implements StepKind
{
    public function __construct(private TakeReading $readings, private ToolDesk $desk) {}

    public function answers(): array
    {
        return ['compare'];
    }

    public function work(Person $by, Step $step, StepInput $in): ?array
    {
        $spec = $step->spec;
        $unit = Unit::parse($spec['unit']);
        $values = [];
        foreach (['shown', 'real'] as $which) {
            $entry = trim($in->entries[$which] ?? '');
            if ($entry === '') {
                throw Refused::because("Enter what {$spec[$which]['title']} says, too; one of them alone proves nothing.");
            }
            $values[$which] = Entered::parse($entry, $unit)->in($unit)->value;
        }
        $tool = isset($spec['real']['tool_kind']) ? $this->desk->usable($spec['real']['tool_kind'], $in->tool) : null;
        if ($tool !== null) {
            $this->desk->out($by, $step->card, $tool);
        }
        $alike = Alike::of(array_values($values), (float) $spec['within']);
        foreach ($values as $which => $value) {
            $this->readings->keep($by, $step, "{$spec['point']}, {$spec[$which]['title']}", $in->entries[$which], $value, $unit->value, $alike->verdict->value, $spec['within'] - $alike->spread, $which === 'real' ? $tool : null);
        }

        return $alike->verdict->value === 'pass' ? ['spread' => $alike->spread] : null;
    }
}
