<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Jorvel\Core\Floor\RollCall;
use Jorvel\Core\Shared\Instant;

/** A roll-call: each place is called clear by name, and all calls must still stand when it is confirmed. */
final readonly class CallClear implements StepKind
{
    public function __construct(private Clock $clock, private Records $records) {}

    public function answers(): array
    {
        return ['call', 'done'];
    }

    /** How long a call stands where the step does not say, in seconds. */
    private const STANDS = 300;

    public function work(Person $by, Step $step, StepInput $in): ?array
    {
        if ($in->do === 'done') {
            return $this->confirm($step);
        }
        $this->call($by, $step, trim($in->entry), $in->note);

        return null;
    }

    /**
     * The places not called clear, or too long ago.
     *
     * @return list<string>
     */
    public function missing(Step $step): array
    {
        $calls = array_map(static fn(array $c): Instant => Instant::parse($c['at']), $step->result['calls'] ?? []);

        return RollCall::missing($step->spec['places'], $calls, $this->clock->now(), self::stands($step));
    }

    public static function stands(Step $step): int
    {
        return (int) ($step->spec['stands'] ?? self::STANDS);
    }

    private function call(Person $by, Step $step, string $place, string $name): void
    {
        if (! in_array($place, $step->spec['places'], true)) {
            throw Refused::because("\"{$place}\" is not a place of this roll-call: ".implode(', ', $step->spec['places']).'.');
        }
        if ($name === '') {
            throw Refused::because("Who calls {$place} clear? Enter the name of the person standing there.");
        }
        $calls = [...$step->result['calls'] ?? [], $place => ['name' => $name, 'at' => (string) $this->clock->now()]];
        $step->result = ['calls' => $calls];
        $step->save();
        $this->records->write($by, 'step.called_clear', "card:{$step->card_id}", ['step' => $step->no, 'place' => $place, 'name' => $name]);
    }

    /** @return array<string, mixed> */
    private function confirm(Step $step): array
    {
        $missing = $this->missing($step);
        if ($missing !== []) {
            throw Refused::because('Not called clear, or too long ago: '.implode(', ', $missing).'. Nothing moves until every place is.');
        }

        return $step->result ?? [];
    }
}
