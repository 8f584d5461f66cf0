<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\Somebody;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Records;
use App\Shared\Refused;
use Jorvel\Core\Floor\RollCall;
use Jorvel\Core\Shared\Instant;

/** A roll-call: each place is called clear by name, and all calls must still stand when it is confirmed. */
final readonly class CallClear implements StepKind
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private Notices $notices,
        private Somebody $somebody,
    ) {}

    public function answers(): array
    {
        return ['call', 'done'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        if ($in->do === 'done') {
            return $this->confirm($by, $step);
        }
        $place = trim($in->entry);
        self::requirePlace($step, $place);

        return $this->stand($by, $step, $place, $this->somebody->at($place, trim($in->note)));
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

    /**
     * Somebody stands at a place and it is clear: called by whoever works the card, or said by themselves, on a device
     * of their own.
     *
     * @throws Refused for a place that it has not, or somebody who stands at another
     */
    public function stand(Person $by, Step $step, string $place, Person $there): Worked
    {
        self::requirePlace($step, $place);
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
        $calls[$place] = [
            'person' => $there->id, 'name' => $there->name, 'at' => $now,
            ...$there->id === $by->id ? ['own' => true] : [],
        ];

        return Worked::open(
            static fn() => $step->fill(['result' => [...$step->result ?? [], 'calls' => $calls]])->save(),
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

    private static function requirePlace(Step $step, string $place): void
    {
        if (! in_array($place, $step->spec['places'], true)) {
            throw Refused::because(
                "\"{$place}\" is not a place of this roll-call: ".implode(', ', $step->spec['places']).'.',
            );
        }
    }

    /** @param array<string, mixed> $call */
    private function stillStands(Step $step, array $call): bool
    {
        return $this->clock->now()->epoch() - Instant::parse((string) $call['at'])->epoch() <= self::stands($step);
    }

    /**
     * Whoever stands where the briefing is signed has read it, and the words that mean stop.
     *
     * @throws Refused for anybody else, or a wrong signature
     */
    public function brief(Person $by, Step $step, string $stamp, string $pin): Worked
    {
        $signs = $step->spec['signs'] ?? throw Refused::because('This roll-call has no briefing to sign.');
        $there = $step->result['calls'][$signs] ?? null;
        if (($there['person'] ?? null) !== $by->id) {
            throw Refused::because("The briefing is signed by whoever is at {$signs}: "
                .($there === null ? 'nobody is called there yet' : "that is {$there['name']}").'. Nothing was signed.');
        }
        $by->requireSignature($stamp, $pin);
        $brief = [
            'person' => $by->id, 'name' => $by->name, 'stamp' => $by->stamp, 'at' => (string) $this->clock->now(),
        ];

        return Worked::open(
            static fn() => $step->fill(['result' => [...$step->result ?? [], 'brief' => $brief]])->save(),
            fn() => $this->records->write($by, 'step.briefed', "card:{$step->card_id}", [
                'step' => $step->no, 'place' => $signs, 'stamp' => $by->stamp, 'stop' => $step->spec['stop'] ?? null,
                'read' => $step->spec['briefing'],
            ]),
        );
    }

    private function confirm(Person $by, Step $step): Worked
    {
        $missing = $this->missing($step);
        if ($missing !== []) {
            throw Refused::because(
                'Not called clear, or too long ago: '.implode(', ', $missing).'. Nothing moves until every place is.',
            );
        }
        $standing = array_map(static fn(array $c): string => (string) $c['person'], $step->result['calls'] ?? []);
        $signs = $step->spec['signs'] ?? null;
        $signed = $step->result['brief']['person'] ?? null;
        $whose = $signed === null ? null : (string) $signed;
        if (! RollCall::briefed($standing, $signs, $whose)) {
            throw Refused::because("Whoever is at {$signs} has not read and signed the briefing. Nothing moves before "
                .'that.');
        }
        $lead = $step->spec['lead'] ?? null;
        if (! RollCall::confirms($standing, $lead, (string) $by->id)) {
            throw Refused::because("{$step->result['calls'][$lead]['name']} leads, at {$lead}, and confirms that all "
                .'are ready. Nothing was confirmed.');
        }

        return Worked::done($step->result ?? []);
    }
}
