<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Show\View\DeferralsView;
use App\Deferrals\Show\View\DeferralView;
use App\Deferrals\Show\View\OpenFinding;
use App\Deferrals\Show\View\OptionView;
use App\Floor\Model\Finding;
use App\Now\LoadFlying;
use App\Shared\Clock;
use Illuminate\Support\Arr;
use Illuminate\Support\Collection;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Fleet\PlannedAway;

/**
 * What the room Deferrals shows: what is carried, by what runs out first, and the findings that wait for a decision.
 */
final readonly class ShowDeferrals
{
    public function __construct(private Clock $clock, private DeferralClock $deferrals) {}

    public function all(): DeferralsView
    {
        $all = ListedItem::orderBy('code')->get();
        $carried = Deferral::with([
            'aircraft' => static fn($q) => $q->with(LoadFlying::with()),
            'finding',
        ])->where('state', 'open')
            ->get()
            ->each(static fn(Deferral $d) => $d->setRelation('listedItem', $all->find($d->listed_item_id)))
            ->map($this->deferral(...))
            ->sortBy(static fn(DeferralView $d): int => $d->daysLeft ?? PHP_INT_MAX)->values();
        $listed = $all->groupBy(static fn(ListedItem $i): string => $i->type_id.'/'.$i->chapter);
        $open = Finding::with([
            'aircraft' => static fn($q) => $q->with(LoadFlying::with()),
            'card',
            'raiser',
            'fixCard',
        ])->where('state', 'open')
            ->orderBy('id')
            ->get();
        $waiting = $open->whereNull('fixCard')->count();
        $findings = $open->sortBy(static fn(Finding $f): int => $f->fixCard === null ? 0 : 1)
            ->values()
            ->map(fn(Finding $f): OpenFinding => $this->finding(
                $f,
                $listed->get($f->aircraft->type_id.'/'.$f->chapter, collect()),
            ));
        $first = $carried->first();
        // What has its card and may not be deferred is decided.
        return new DeferralsView(
            DeferralWords::room(
                $first === null ? null : "{$first->mark} first: {$first->title} ".lcfirst($first->said),
                $waiting,
            ),
            $carried->all(),
            array_values($findings->filter(
                static fn(OpenFinding $f): bool => $f->fixCard === null || $f->options !== [],
            )->all()),
        );
    }

    public function deferral(Deferral $d): DeferralView
    {
        $clock = $this->deferrals->read($d, $d->aircraft);
        $today = $this->clock->today();

        // What it runs out by is said in its sentence already.
        $left = Arr::except($clock->usageLeft, $clock->status === 'expired' ? [] : [(string) $clock->driver]);

        return new DeferralView(
            $d->id,
            $d->aircraft->mark,
            $d->finding->number,
            $d->finding->place,
            $d->finding->extent,
            $d->listedItem->code,
            $d->listedItem->title,
            $d->category,
            $this->clock->local($d->discovered_at),
            $clock->expiresAt === null ? null : $this->clock->local($clock->expiresAt),
            $clock->forecastLast === null ? null : (string) $clock->forecastLast,
            $clock->forecastLast === null ? null : $today->daysUntil($clock->forecastLast),
            DeferralWords::others($left),
            (string) $clock->driver,
            ($clock->status === 'expired' ? FleetState::Stop : FleetState::of(
                $today,
                $clock->forecastLast,
                PlannedAway::No,
                (int) config('jorvel.warn_days'),
            ))->value,
            $this->said($clock),
            $d->placard,
            $d->procedure_done ? 'done' : 'open',
            $d->listedItem->conditions,
        );
    }

    /** @param Collection<int, ListedItem> $listed */
    private function finding(Finding $f, Collection $listed): OpenFinding
    {
        return new OpenFinding(
            $f->id,
            $f->number,
            $f->aircraft->mark,
            $f->card->number,
            $f->card_id,
            $f->place,
            $f->extent,
            $this->clock->local($f->raised_at),
            $f->raiser->name,
            $f->fixCard?->number,
            array_values($listed->map(function (ListedItem $i) use ($f): OptionView {
                $clock = $this->deferrals->preview($f, $i);

                return new OptionView(
                    $i->id,
                    $i->code,
                    $i->title,
                    $i->category,
                    $i->conditions,
                    $i->procedure,
                    $i->placard,
                    $this->said($clock),
                    $clock->forecastLast === null ? null : (string) $clock->forecastLast,
                );
            })->all()),
        );
    }

    private function said(ClockResult $clock): string
    {
        return DeferralWords::left($clock, $this->clock->today(), $this->clock->words(...));
    }
}
