<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\Day;

/** Who is left to do something on a day, and, where that is nobody, what took the last of them away. */
final class WhoIsLeft
{
    /**
     * What will have lapsed by a day, of those who could otherwise do it; nothing as long as one can, or where nobody
     * ever could.
     *
     * @param array<array-key, Qualified> $people by their ids
     * @param string $role `perform`, `duplicate` or `certify`
     * @param string $type the aircraft type's code
     * @param string|null $skill null where none is asked for
     *
     * @return list<array{string, string, string}> person, and the kind (`authority`, `rating`, `skill`) and value that
     *   lapsed first in this order
     *
     * @pure
     */
    public static function lapsed(array $people, string $role, string $type, ?string $skill, Day $on): array
    {
        $lapsed = [];
        foreach ($people as $id => $holds) {
            $why = $holds->unfit($role, $type, $skill, $on);
            if ($why === null) {
                return [];
            }
            if (str_starts_with($why, 'expired:')) {
                $value = substr($why, strlen('expired:'));
                $lapsed[] = [(string) $id, match ($value) {
                    $role => 'authority', $type => 'rating', default => 'skill',
                }, $value];
            }
        }

        return $lapsed;
    }
}
