<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Input;

/** The `assign` kind: reads its JSON input into values and writes the result. */
final class AssignKind implements Kind
{
    public function name(): string
    {
        return 'assign';
    }

    public function compute(Input $in): array
    {
        $deadline = Deadline::in($in->intOr('budget_ms', 2000));
        $in->uniqueIds('people');
        $in->uniqueIds('slots');
        $people = $in->each(
            'people',
            static fn(Input $p): AssignPerson => AssignPerson::of(
                $p->string('id'),
                self::qualified($p),
                $p->number('hours'),
            ),
        );
        $slots = $in->each('slots', static fn(Input $s): AssignSlot => AssignSlot::of(
            $s->string('id'),
            $s->string('card'),
            Role::from($s->string('role')),
            $s->has('skill') ? $s->string('skill') : null,
            $s->string('type'),
            $s->day('date'),
            $s->number('hours'),
        ));

        return Assign::of($people, $slots, $deadline, PHP_INT_MAX)->toArray();
    }

    /** One date by name serves whatever bears that name: a skill, a type or an authority. */
    private static function qualified(Input $person): Qualified
    {
        $until = $person->object('valid_until');
        $held = [];
        foreach (['skill' => 'skills', 'rating' => 'ratings', 'authority' => 'authority'] as $kind => $field) {
            foreach ($person->strings($field) as $value) {
                $held["{$kind}:{$value}"] = $until->has($value) ? $until->day($value) : null;
            }
        }
        array_map(static fn(string $name): Day => $until->day($name), $until->fields());

        return new Qualified($held);
    }
}
