<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Crew\Model\Person;
use App\Fleet\ComponentWords;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Component;
use App\Floor\Model\Card;
use App\Now\CommitUnmoved;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Closure;
use Jorvel\Core\Fleet\ComponentTag;

/** A component is moved by somebody's signature, outside of any card. */
final readonly class MoveComponent
{
    public function __construct(private ComponentMoves $moves, private CommitUnmoved $commit) {}

    /**
     * @param string|null $mark where to; null into the store
     * @param ComponentTag $tag of one that goes into the store, or lies there and is found to be what it says
     *
     * @throws Refused when the position is taken or none of its kind, it is there already, has work in a visit, or the
     *   signature is wrong
     */
    public function __invoke(
        Person $by,
        int $componentId,
        ?string $mark,
        string $position,
        string $reason,
        ComponentTag $tag,
        string $stamp,
        string $pin,
    ): Component {
        return ($this->commit)(function () use (
            $by,
            $componentId,
            $mark,
            $position,
            $reason,
            $tag,
            $stamp,
            $pin,
        ): Closure {
            $component = Component::with('tenure.craft', 'tenure.component')->findOrFail($componentId);
            $to = $mark === null ? null : Aircraft::where('mark', $mark)->firstOrFail();
            if ($component->tenure === null && $to === null && $tag === $component->tag) {
                throw Refused::because("{$component->name()} is not fitted to anything.");
            }
            self::requireNoWork($component);
            if ($to !== null) {
                $this->moves->requireFits($component, $to, $position, carried: true);
            }
            $by->requireSignature($stamp, $pin);

            return function () use ($by, $component, $to, $position, $reason, $tag): Component {
                $to === null
                    ? $this->moves->off($by, $component, $position, $reason, $tag)
                    : $this->moves->on($by, $component, $to, $position, $reason);

                return $component->refresh();
            };
        });
    }

    /** What a card of a visit is to do, or has done, to it counts where it is: until the release, or not at all. */
    private static function requireNoWork(Component $component): void
    {
        $card = Card::with('visit.aircraft')->where('component_id', $component->id)
            ->whereHas('visit', static fn($q) => $q->where('state', '!=', Visit::RELEASED))->orderBy('id')->first();
        if ($card !== null) {
            throw Refused::because(ComponentWords::inVisit($component, $card).' Nothing was moved.');
        }
    }
}
