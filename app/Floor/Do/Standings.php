<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Do\Work\CallClear;
use App\Floor\FloorWords;
use App\Floor\Model\Step;
use App\Floor\Show\View\HoldView;
use App\Now\CardFile;
use App\Now\LoadCard;
use App\Shared\Clock;
use App\Shared\Refused;
use Jorvel\Core\Floor\Interlock;
use Jorvel\Core\Floor\StayAway;
use Jorvel\Core\Floor\Wholeness;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\NotWhole;
use Jorvel\Core\Now\PersonAt;
use Jorvel\Core\Now\StepNow;

/**
 * What stands at an aircraft against a step, or against coming to a card, each with the way to it; what it is, the core
 * says.
 */
final readonly class Standings
{
    public function __construct(private SafingRegister $register, private CallClear $calls, private Clock $clock) {}

    /** @throws Refused naming everything that says no */
    public function requireFree(Person $by, CardFile $file, Step $step): void
    {
        $holds = $this->holding($by, $file, [$step])[$step->no] ?? [];
        if ($holds !== []) {
            throw Refused::because(
                "Step {$step->no} {$step->acts()} and is held: ".FloorWords::said($holds)
                    .'. Nothing overrides this; it is free as soon as they are gone.',
            );
        }
    }

    /** @throws Refused for whoever comes to a card while its systems are acted on from another, or are live */
    public function requireQuiet(Person $by, CardFile $file): void
    {
        $away = $this->away($by, $file);
        if ($away !== []) {
            throw Refused::because(
                'Stay away from it now: '.FloorWords::said($away)
                    .'. You begin here when that has ended. Nothing was changed.',
            );
        }
    }

    /** @throws Refused for a proof of something that is apart: it would prove nothing */
    public function requireJoined(CardFile $file, StepNow $is): void
    {
        $joins = $is->handling->joins ?? [];
        $apart = Wholeness::apart(
            $file->now->on->notWhole(),
            array_values(array_diff($is->handling?->proven() ?? [], $joins)),
        );
        if ($apart !== []) {
            throw Refused::because('Still apart: '.implode('; ', array_map(
                fn(NotWhole $n): string => FloorWords::disturbed($n->last, $this->clock->time($n->last->at)),
                $apart,
            )).'. A proof counts only after it is joined; nothing was saved.');
        }
    }

    /**
     * What holds each step that acts on a system.
     *
     * @param iterable<Step> $steps of the card
     * @param array<int, Step>|null $removers of the devices at the aircraft, where they are at hand
     *
     * @return array<int, list<HoldView>> by step number
     */
    public function holding(Person $by, CardFile $file, iterable $steps, ?array $removers = null): array
    {
        $removers ??= $this->register->removersOf($file);
        $holds = [];
        foreach ($steps as $step) {
            $now = LoadCard::step($step);
            if ($now->acts === null || $now->done) {
                continue;
            }
            $stale = $this->staleCall($file, $step->no);
            $holds[$step->no] = [
                ...$stale === null ? [] : [$stale],
                ...$this->views(Interlock::holding($file->now, $now, (string) $by->id), $removers),
            ];
        }

        return $holds;
    }

    /**
     * @param array<int, Step>|null $removers of the devices at the aircraft, where they are at hand
     *
     * @return list<HoldView> what is acted on from other cards, or live, where this card's work would be
     */
    public function away(Person $by, CardFile $file, ?array $removers = null): array
    {
        return $this->views(
            StayAway::from($file->now, (string) $by->id),
            $removers ?? $this->register->removersOf($file),
        );
    }

    /**
     * @param list<PersonAt|Acting|DeviceOn> $standing
     * @param array<int, Step> $removers by device
     *
     * @return list<HoldView>
     */
    private function views(array $standing, array $removers): array
    {
        return array_map(fn(PersonAt|Acting|DeviceOn $s): HoldView => match (true) {
            $s instanceof PersonAt => FloorWords::personHolds($s, $this->clock->time($s->since)),
            $s instanceof Acting => FloorWords::actingHolds($s, $this->clock->time($s->since)),
            default => FloorWords::deviceHolds($s, $removers[(int) $s->id] ?? null),
        }, $standing);
    }

    /** A roll-call before a step that moves something must still stand when it moves. */
    private function staleCall(CardFile $file, int $no): ?HoldView
    {
        $before = $file->now->callBefore($no);
        $call = $before === null || ! $before->done ? null : $file->step($before->no);
        $missing = $call === null ? [] : $this->calls->missing($call);

        return $call === null || $missing === [] ? null : FloorWords::callLapsed($call, $missing);
    }
}
