<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Stores\Do\ToolDesk;
use App\Stores\Model\ToolUse;

/** A tool is used: of the right kind, in calibration, and counted out to this card. */
final readonly class UseTool implements StepKind
{
    public function __construct(private Clock $clock, private ToolDesk $desk) {}

    public function answers(): array
    {
        return ['use'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $tool = $this->desk->usable($step->spec['tool_kind'], $in->tool);
        $this->desk->requireHere($step->card, $tool);
        $now = (string) $this->clock->now();

        return Worked::done(
            ['tool' => $tool->code],
            fn() => $this->desk->out($by, $step->card, $tool),
            static fn() => ToolUse::create([
                'tool_id' => $tool->id,
                'card_id' => $step->card_id,
                'step_id' => $step->id,
                'person_id' => $by->id,
                'at' => $now,
            ]),
        );
    }
}
