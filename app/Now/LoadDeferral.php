<?php

declare(strict_types=1);

namespace App\Now;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Floor\Model\Finding;
use App\Shared\Clock;
use Jorvel\Core\Deferrals\Category;
use Jorvel\Core\Deferrals\ClockKind;
use Jorvel\Core\Deferrals\Deferral as Terms;
use Jorvel\Core\Deferrals\Extension;
use Jorvel\Core\Now\DeferralNow;
use Jorvel\Core\Shared\Instant;

/** The one maker of a deferral's terms: as they were agreed, or as they would be under a listed item. */
final readonly class LoadDeferral
{
    public function __construct(private Clock $clock) {}

    public function of(Deferral $deferral): DeferralNow
    {
        return new DeferralNow((string) $deferral->id, (string) $deferral->finding_id, self::terms(
            $deferral->category,
            $deferral->discovered_at,
            $deferral->timezone,
            $deferral->limits,
            $deferral->at_discovery,
            array_map(
                static fn(array $e): Extension => Extension::of($e['days'], Instant::parse($e['granted'])),
                $deferral->extensions,
            ),
        ), $deferral->procedure_done);
    }

    /** What a finding would be carried by, were it deferred under a listed item. */
    public function under(ListedItem $item, Finding $finding): Terms
    {
        return self::terms(
            $item->category,
            $finding->raised_at,
            $this->clock->zone()->getName(),
            $item->limits,
            $finding->aircraft->counters,
        );
    }

    /**
     * @param array<string, float> $limits `days`, and amounts by counter
     * @param array<string, float> $counters when it was found
     * @param list<Extension> $extensions
     */
    private static function terms(
        string $category,
        Instant $discovered,
        string $zone,
        array $limits,
        array $counters,
        array $extensions = [],
    ): Terms {
        $days = isset($limits['days']) ? (int) $limits['days'] : null;
        unset($limits['days']);

        return Terms::of(
            Category::from($category),
            $discovered,
            ClockKind::zone($zone),
            $days,
            array_map(floatval(...), $limits),
            array_map(floatval(...), $counters),
            $extensions,
            (array) config('jorvel.deferral_days'),
        );
    }
}
