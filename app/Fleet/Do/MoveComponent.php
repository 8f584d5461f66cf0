<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Component;
use App\Now\CommitUnmoved;
use App\Shared\Refused;
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
     * @throws Refused when the position is taken or none of its kind, it is there already, or the signature is wrong
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
}
