<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Database\Eloquent\Builder;
use Jorvel\Core\Floor\RollCall;
use Jorvel\Core\Shared\Instant;

/** A roll-call: each place is called clear by name, and all calls must still stand when it is confirmed. */
final readonly class CallClear implements StepKind
{
    public function __construct(private Clock $clock, private Records $records, private Notices $notices) {}

    public function answers(): array
    {
        return ['call', 'done'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        return $in->do === 'done' ? $this->confirm($step) : $this->call($by, $step, trim($in->entry), trim($in->note));
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
        return (int) ($step->spec['stands'] ?? config('jorvel.call_stands_seconds'));
    }

    private function call(Person $by, Step $step, string $place, string $who): Worked
    {
        if (! in_array($place, $step->spec['places'], true)) {
            throw Refused::because(
                "\"{$place}\" is not a place of this roll-call: ".implode(', ', $step->spec['places']).'.',
            );
        }
        $there = $this->person($who, $place);
        $calls = $step->result['calls'] ?? [];
        foreach ($calls as $other => $call) {
            if ($other !== $place && ($call['person'] ?? null) === $there->id && $this->stillStands($step, $call)) {
                throw Refused::because(
                    "{$there->name} was called at {$other} a moment ago, and stands at one place. "
                        ."Who stands at {$place}? Nothing was called.",
                );
            }
        }
        $now = (string) $this->clock->now();
        $calls[$place] = ['person' => $there->id, 'name' => $there->name, 'at' => $now];

        return Worked::open(
            static fn() => $step->fill(['result' => ['calls' => $calls]])->save(),
            fn() => $this->records->write(
                $by,
                'step.called_clear',
                "card:{$step->card_id}",
                ['step' => $step->no, 'place' => $place, 'name' => $there->name, 'stamp' => $there->stamp],
            ),
            fn() => $there->id === $by->id ? null : $this->notices->tell(
                $there->id,
                "{$by->name} called you clear at {$place}, for step {$step->no} of {$step->card->number}. If you are "
                    .'not there, tell them at once.',
                "/floor/{$step->card_id}?step={$step->no}",
            ),
        );
    }

    /** Somebody of the crew, by name or stamp. */
    private function person(string $who, string $place): Person
    {
        if ($who === '') {
            throw Refused::because("Who stands at {$place}? Choose them from the crew. Nothing was called.");
        }

        return Person::thereOn($this->clock->today())->where(
            static fn(Builder $q) => $q->where('name', $who)->orWhere('stamp', $who),
        )
            ->first()
            ?? throw Refused::because(
                "There is nobody called \"{$who}\" in the crew. Enter a name or a stamp as Crew has it. Nothing was "
                    .'called.',
            );
    }

    /** @param array<string, mixed> $call */
    private function stillStands(Step $step, array $call): bool
    {
        return $this->clock->now()->epoch() - Instant::parse((string) $call['at'])->epoch() <= self::stands($step);
    }

    private function confirm(Step $step): Worked
    {
        $missing = $this->missing($step);
        if ($missing !== []) {
            throw Refused::because(
                'Not called clear, or too long ago: '.implode(', ', $missing).'. Nothing moves until every place is.',
            );
        }

        return Worked::done($step->result ?? []);
    }
}
