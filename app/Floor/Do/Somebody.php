<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Shared\Clock;
use App\Shared\Refused;
use Illuminate\Database\Eloquent\Builder;

/** Somebody who stands at a place, as whoever calls names them. */
final readonly class Somebody
{
    public function __construct(private Clock $clock) {}

    /**
     * Somebody of the crew, by name or stamp.
     *
     * @throws Refused for nobody, or nobody of the crew
     */
    public function at(string $place, string $who): Person
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
}
