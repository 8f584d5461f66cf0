<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** The `plan` kind: reads its JSON input into values and writes the result. */
final class PlanKind implements Kind
{
    public function name(): string
    {
        return 'plan';
    }

    public function compute(Input $in): array
    {
        $deadline = Deadline::in($in->intOr('budget_ms', 2000));
        $in->uniqueIds('cards');
        $skills = array_map(intval(...), $in->numbers('skills'));
        $zones = array_map(intval(...), $in->numbers('zones'));
        $place = array_flip($in->each('cards', static fn(Input $c): string => '#'.$c->string('id')));
        $cards = $in->each('cards', static fn(Input $c): PlanCard => self::card($c, $place, $skills, $zones));

        return Plan::of(PlanProblem::of($cards, $skills, $zones), $deadline, $in->intOr('seed', 1))->toArray();
    }

    /**
     * @param array<string, int> $place of each card, by "#id"
     * @param array<array-key, int> $skills
     * @param array<array-key, int> $zones
     *
     * @throws InputError
     */
    private static function card(Input $in, array $place, array $skills, array $zones): PlanCard
    {
        $needs = [];
        $in->each('needs', static function (Input $n) use (&$needs, $skills): void {
            $skill = $n->string('skill');
            if (isset($needs[$skill])) {
                throw $n->error('skill', "\"{$skill}\" is used twice");
            }
            if (! isset($skills[$skill])) {
                throw $n->error('skill', "nobody has the skill \"{$skill}\"");
            }
            if ($n->int('count') > $skills[$skill]) {
                throw $n->error('count', "is more than the {$skills[$skill]} there are of \"{$skill}\"");
            }
            $needs[$skill] = $n->int('count');
        });
        $after = [];
        foreach ($in->strings('after') as $i => $id) {
            $after[] = $place["#{$id}"] ?? throw $in->error("after.{$i}", "there is no card \"{$id}\"");
        }
        $zone = $in->has('zone') ? $in->string('zone') : null;
        $people = $in->intOr('people_in_zone', array_sum($needs));
        if ($zone !== null && ! isset($zones[$zone])) {
            throw $in->error('zone', "there is no zone \"{$zone}\"");
        }
        if ($zone !== null && $people > $zones[$zone]) {
            throw $in->error(
                $in->has('people_in_zone') ? 'people_in_zone' : '',
                "puts {$people} people into \"{$zone}\", which holds {$zones[$zone]}",
            );
        }
        $state = $in->objectOrNull('state');

        return new PlanCard(
            $in->string('id'),
            $in->int('hours'),
            $needs,
            $after,
            $zone,
            $people,
            $state === null ? [] : array_combine($state->fields(), array_map($state->string(...), $state->fields())),
            $in->intOr('earliest', 0),
        );
    }
}
