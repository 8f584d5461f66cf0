<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Taken;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Refused;
use Jorvel\Core\Bench\Agreement;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** An indication beside the real thing: both are kept, and they must agree, and their agreeing must say something. */
final readonly class Compare implements StepKind
{
    public function __construct(private TakeReading $readings) {}

    public function answers(): array
    {
        return ['compare'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $unit = Unit::parse($spec['unit']);
        $values = array_map(
            fn(string $which): float => $this->value($spec, $which, $in, $unit)->value,
            ['shown' => 'shown', 'real' => 'real'],
        );
        $tool = $this->readings->tool($spec['real'], $in->tool);
        if ($tool !== null) {
            $this->readings->requireReadable(Quantity::of($values['real'], $unit), $tool);
        }
        $this->readings->requireHere($step, $tool);
        $said = Agreement::of($values['shown'], $values['real'], $unit, (float) $spec['within']);
        if ($said->verdict === Verdict::Invalid) {
            throw Refused::because(
                'Both read nothing: two dead gauges agree, too. Put the system under pressure or load, and read '
                    .'both again. Nothing was saved.',
            );
        }
        $both = [];
        foreach ($values as $which => $value) {
            $taken = new Taken(
                "{$spec['point']}, {$spec[$which]['title']}",
                $in->entries[$which],
                $value,
                $unit->value,
                $said->verdict->value,
                $spec['within'] - $said->spread,
                $which === 'real' ? $tool : null,
            );
            $both[] = $taken;
        }
        $commit = fn() => $this->readings->commit($by, $step, ...$both);

        return $said->verdict === Verdict::Pass
            ? Worked::done(['spread' => $said->spread], $commit)
            : Worked::short(['spread' => $said->spread], Verdict::Fail, $commit);
    }

    /** @param array<string, mixed> $spec */
    private function value(array $spec, string $which, StepInput $in, Unit $unit): Quantity
    {
        $entry = trim($in->entries[$which] ?? '');
        if ($entry === '') {
            throw Refused::because("Enter what {$spec[$which]['title']} says, too; one of them alone proves nothing.");
        }

        return Entered::parse($entry, $unit);
    }
}
