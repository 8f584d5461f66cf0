<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\DeferralWords;
use App\Deferrals\Model\ListedItem;
use App\Floor\Model\Finding;
use App\Now\DeferralClock;
use App\Now\LoadCarried;
use App\Now\LoadSectors;
use App\Shared\Clock;
use Jorvel\Core\Deferrals\Dispatch;

/**
 * What one more deferral would do beside those that an aircraft carries: to every flight, and to those that are
 * planned.
 */
final readonly class Together
{
    public function __construct(
        private LoadCarried $carried,
        private LoadSectors $sectors,
        private DeferralClock $clocks,
        private Clock $clock,
    ) {}

    /**
     * @param Finding $finding its aircraft with `deferrals.listedItem`, `deferrals.finding` and what is flown
     *
     * @return array{list<string>, list<string>} why no flight could be flown any more that could be before, empty where
     *   some can; of the coming flights, those that could no longer be flown, each with its reason
     */
    public function with(Finding $finding, ListedItem $item): array
    {
        [$now, $then, $names] = $this->dispatches($finding, $item);
        $said = static fn(array $r): string => DeferralWords::reason($r['id'], $r['code'], $names);
        $forbids = array_values(array_udiff(
            $then->standing(),
            $now->standing(),
            static fn(array $a, array $b): int => [$a['id'], $a['code']] <=> [$b['id'], $b['code']],
        ));
        $at = $this->clock->now();
        $grounds = [];
        foreach ($this->sectors->coming($finding->aircraft) as [$row, $sector]) {
            $fliesNow = $this->sectors->unstated($then, $sector) === null && $now->allows($sector, $at);
            $reason = $fliesNow ? $then->judge($sector, $at)->reasons[0] ?? null : null;
            if ($reason !== null) {
                $grounds[] = "{$row->number} on {$this->clock->words($row->date)}, {$row->from_place} to "
                    ."{$row->to_place}: {$said($reason)}";
            }
        }

        return [array_map($said, $forbids), $grounds];
    }

    /** @return array{Dispatch, Dispatch, array<string, string>} as it is, with one more, and what each is called */
    private function dispatches(Finding $finding, ListedItem $item): array
    {
        $open = $finding->aircraft->deferrals;
        $clocks = $names = [];
        foreach ($open as $deferral) {
            $clocks[$deferral->id] = $this->clocks->read($deferral, $finding->aircraft);
            $names[(string) $deferral->id] = "{$deferral->listedItem->code} {$deferral->listedItem->title}";
        }
        $names['new'] = "{$item->code} {$item->title}";
        $carried = $this->carried->of($open, $clocks);
        $expires = $this->clocks->preview($finding, $item)->expiresAt;

        return [
            Dispatch::with($carried),
            Dispatch::with([...$carried, $this->carried->supposed($item, $open, $expires)]),
            $names,
        ];
    }
}
