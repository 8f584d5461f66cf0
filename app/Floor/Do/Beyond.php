<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Step;
use App\Library\Model\FollowRule;
use App\Shared\Clock;
use App\Shared\Refused;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** A reading of a card that lies beyond a limit with a table: how long it did is read as well, and it is an exceedance. */
final readonly class Beyond
{
    public function __construct(private Clock $clock, private Exceedances $exceedances) {}

    /**
     * @param array<string, mixed> $reading of the step: `exceeds` (`rule`, `position`)
     *
     * @return NewExceedance|null null within the limit, or where the step names none
     *
     * @throws Refused when nobody said for how long
     */
    public function ask(Step $step, array $reading, Taken $taken, StepInput $in): ?NewExceedance
    {
        $of = $reading['exceeds'] ?? null;
        $rule = $of === null
            ? null
            : FollowRule::inForce($step->card->aircraft->type_id)->firstWhere('code', $of['rule']);
        $table = $rule?->rule()->exceeded;
        if ($table === null) {
            return null;
        }
        $peak = Quantity::of($taken->value, Unit::parse($taken->unit))->in($table->unit)->value;
        if ($table->row($peak, 0.0) === null) {
            return null;
        }
        $said = trim($in->entries['seconds'] ?? '');
        if ($said === '') {
            throw Refused::because("That is beyond the limit of {$table->quantity}: enter for how many seconds it was. "
                .'Nothing was saved yet.');
        }
        return new NewExceedance(
            $of['rule'],
            $of['position'],
            $peak,
            Entered::parse($said, Unit::s)->value,
            'card',
            $this->clock->now(),
            $in->note,
            $step,
        );
    }

    public function commit(Person $by, Step $step, NewExceedance $beyond): void
    {
        $this->exceedances->record($by, $step->card->aircraft, $beyond);
    }
}
