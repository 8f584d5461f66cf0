<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Floor\Model\Finding;
use App\Now\DeferralClock;
use App\Now\LoadCarried;
use App\Now\LoadSectors;
use App\Shared\Clock;
use Jorvel\Core\Deferrals\Dispatch;

/** What one more deferral would do beside those that an aircraft carries: to every flight, and to those that are planned. */
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
     * @return list<string> why no flight could be flown any more that could be before; empty where some can
     */
    public function forbids(Finding $finding, ListedItem $item): array
    {
        [$now, $then, $names] = $this->dispatches($finding, $item);
        $before = array_map(static fn(array $r): string => "{$r['id']} {$r['code']}", $now->standing());

        return array_values(array_map(
            static fn(array $r): string => DeferralWords::reason($r['id'], $r['code'], $names),
            array_filter(
                $then->standing(),
                static fn(array $r): bool => ! in_array("{$r['id']} {$r['code']}", $before, true),
            ),
        ));
    }

    /**
     * @return list<string> of the coming flights, those that could no longer be flown: each with its reason
     */
    public function grounds(Finding $finding, ListedItem $item): array
    {
        [$now, $then, $names] = $this->dispatches($finding, $item);
        $at = $this->clock->now();
        $out = [];
        foreach ($this->sectors->coming($finding->aircraft) as [$row, $sector]) {
            if ($this->sectors->unstated($then, $sector) !== null || ! $now->allows($sector, $at)) {
                continue;
            }
            $result = $then->judge($sector, $at);
            foreach (array_slice($result->reasons, 0, 1) as $reason) {
                $out[] = "{$row->number} on {$this->clock->words($row->date)}, {$row->from_place} to {$row->to_place}: "
                    .DeferralWords::reason($reason['id'], $reason['code'], $names);
            }
        }

        return $out;
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
        $carried = $this->carried->of($open->filter(static fn(Deferral $d): bool => true), $clocks);
        $expires = $this->clocks->preview($finding, $item)->expiresAt;

        return [
            Dispatch::with($carried),
            Dispatch::with([...$carried, $this->carried->supposed($item, $open, $expires)]),
            $names,
        ];
    }
}
