<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Refused;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Unit;

/** A setting, an index line or a distance, noted before anything moves; a later step wants it met again. */
final readonly class Mark implements StepKind
{
    public function answers(): array
    {
        return ['mark'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        if (trim($in->entry) === '') {
            throw Refused::because("Enter {$step->spec['what']} before anything moves. Nothing was saved.");
        }
        if (! isset($step->spec['unit'])) {
            return Worked::done(['mark' => trim($in->entry)]);
        }
        $unit = Unit::parse($step->spec['unit']);

        return Worked::done(['mark' => Entered::parse($in->entry, $unit)->value, 'unit' => $unit->value]);
    }
}
