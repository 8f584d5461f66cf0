<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use function in_array;

use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Near;

/**
 * An aircraft's coming flights, one after another, with what it carries: a limit by use runs out on the way.
 *
 * What something carried asks for and the programme does not state is not guessed: such a flight is neither go nor
 * no-go.
 */
final class ComingFlights
{
    /**
     * @param list<Carried> $carried
     * @param array<array-key, array<string, float>> $left use that is left of an item, `fh` and `ldg`, before the first
     *   of the flights
     * @param list<Sector> $sectors in their order
     *
     * @return list<DispatchResult> the verdict is `unknown` where a condition is not stated, with the reason
     *   `not_stated:<name>`, and nothing else forbids it
     *
     * @pure
     */
    public static function judge(array $carried, array $left, array $sectors, Instant $at): array
    {
        $hours = $landings = 0.0;
        $results = [];
        foreach ($sectors as $sector) {
            $hours += $sector->hours;
            $landings += $sector->landings;
            $used = array_keys(array_filter($left, static fn(array $of): bool => ! Near::atMost(
                $hours,
                $of['fh'] ?? INF,
            ) || ! Near::atMost($landings, $of['ldg'] ?? INF)));
            $results[] = self::one(array_map(static fn(Carried $c): Carried => in_array(
                $c->id,
                array_map(strval(...), $used),
                true,
            ) ? $c->spent() : $c, $carried), $sector, $at);
        }

        return $results;
    }

    /**
     * @param list<Carried> $carried
     *
     * @pure
     */
    private static function one(array $carried, Sector $sector, Instant $at): DispatchResult
    {
        $open = $stated = [];
        foreach ($carried as $item) {
            foreach ($item->stated as $name) {
                if (! isset($sector->conditions[$name])) {
                    $open[] = ['id' => $item->id, 'code' => "not_stated:{$name}"];
                    $stated[$name] = false;
                }
            }
        }
        $result = Dispatch::with($carried)->judge(
            Sector::of($sector->id, $sector->departs, $sector->arrives, $sector->conditions + $stated),
            $at,
        );

        return $open === [] || $result->verdict === 'no_go'
            ? $result
            : new DispatchResult('unknown', $result->restrictions, $open);
    }
}
