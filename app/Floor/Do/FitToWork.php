<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;

/**
 * Whether somebody assigned to a card may work it today: what they held when they were assigned may have lapsed since.
 */
final readonly class FitToWork
{
    public function __construct(private Clock $clock) {}

    /**
     * Why not, after their name; null when they may.
     *
     * A trainee may while whoever stands over them is on the card and may work it.
     *
     * @param Card $card with `aircraft.type` and `assignments.person.qualifications`
     */
    public function why(Person $person, Card $card): ?string
    {
        if (! $person->trainee) {
            return $this->lack($person, $card);
        }
        $over = $card->assignments->first(
            static fn(Assignment $a): bool => $a->role === 'perform' && $a->person_id === $person->supervisor_id,
        )?->person;
        if ($over === null) {
            return 'is a trainee, and the supervisor is not on this card';
        }
        $lack = $this->lack($over, $card);

        return $lack === null ? null : "is a trainee, and {$over->name} {$lack}";
    }

    /** @throws Refused when they may not; nothing was changed */
    public function requireFit(Person $person, Card $card): void
    {
        $why = $this->why($person, $card);
        if ($why !== null) {
            throw Refused::because("{$person->name} {$why}, and does not work this card today. Nothing was changed.");
        }
    }

    /** Any one skill of a card that needs several is enough to work on it. */
    private function lack(Person $person, Card $card): ?string
    {
        $skills = array_keys($card->needs ?? []) ?: [$card->skill];
        $type = $card->aircraft->type->code;
        $lacks = [];
        foreach ($skills as $skill) {
            $code = $person->qualified()->unfit('perform', $type, (string) $skill, $this->clock->today());
            if ($code === null) {
                return null;
            }
            $lacks[] = Words::unfit($code, 'perform', $type, (string) $skill);
        }
        // The skill the card is signed for is the one to name.
        return $lacks[(int) array_search($card->skill, $skills, true)];
    }
}
