<?php

declare(strict_types=1);

namespace Tests;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * Which room's actions and readers use which other's. No two use each other: a room stands below those that use it, and
 * `Shared` below all. Models may relate both ways, and a controller may ask any room. Run by PHPStan.
 */
final class Architecture
{
    /** What each room may use; every room only of those above it in this list, so that no two use each other. */
    public const USES = [
        'Crew' => [],
        'Fleet' => [],
        'Visits' => ['Crew', 'Fleet'],
        'Library' => ['Fleet', 'Visits'],
        'Stores' => ['Visits'],
        'Floor' => ['Fleet', 'Visits', 'Library', 'Stores'],
        'Bench' => ['Fleet', 'Visits', 'Library', 'Stores', 'Floor'],
        'Deferrals' => ['Fleet', 'Visits', 'Stores', 'Floor'],
        'Release' => ['Deferrals', 'Stores', 'Fleet'],
    ];

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function rooms(): iterable
    {
        foreach (self::USES as $room => $uses) {
            $others = array_values(array_diff(array_keys(self::USES), $uses, [$room]));
            yield $room => PHPat::rule()->classes(...self::work($room))->shouldNotDependOn()
                ->classes(...array_merge(...array_map(self::work(...), $others)))
                ->because("{$room} may use ".($uses === [] ? 'no other room' : 'only '.implode(', ', $uses)));
        }
    }

    public function test_shared_uses_no_room(): Rule
    {
        return PHPat::rule()->classes(Selector::inNamespace('App\Shared'))->shouldNotDependOn()
            ->classes(...array_merge(...array_map(self::work(...), array_keys(self::USES))))
            ->because('every room stands on it');
    }

    /** @return list<SelectorInterface> a room's actions and readers */
    private static function work(string $room): array
    {
        return [Selector::inNamespace("App\\{$room}\\Do"), Selector::inNamespace("App\\{$room}\\Show")];
    }
}
