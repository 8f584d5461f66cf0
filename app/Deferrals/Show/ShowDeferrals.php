<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralNeed;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Show\View\ClosedView;
use App\Deferrals\Show\View\DeferralsView;
use App\Deferrals\Show\View\DeferralView;
use App\Deferrals\Show\View\NeedView;
use App\Deferrals\Show\View\OpenFinding;
use App\Fleet\Model\Aircraft;
use App\Fleet\Show\DueSheets;
use App\Floor\Model\Finding;
use App\Now\DeferralClock;
use App\Now\LoadDeferral;
use App\Now\LoadFlying;
use App\Now\LoadListed;
use App\Shared\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Deferrals\Closure;
use Jorvel\Core\Fleet\Outlook;
use Jorvel\Core\Fleet\VisitPlans;
use Jorvel\Core\Now\DeferralNow;

/**
 * What the room Deferrals shows: what is carried, by what runs out first, with whether it is closed in time; and the
 * findings that wait for a decision.
 */
final readonly class ShowDeferrals
{
    /** What is shown of many at once. */
    private const SHOWN = 40;

    /** The last ones that were closed. */
    private const CLOSED = 20;

    public function __construct(
        private Clock $clock,
        private DeferralClock $clocks,
        private Closures $closures,
        private LoadListed $listed,
        private LoadDeferral $load,
        private LoadFlying $flying,
        private DueSheets $sheets,
    ) {}

    /** @return Builder<Deferral> with everything that {@see view()} reads */
    public static function query(): Builder
    {
        return Deferral::with([
            'aircraft' => static fn($q) => $q->with(LoadFlying::with()), 'finding', 'listedItem', 'cards.card.visit',
            ...Closures::with(),
        ]);
    }

    /** @param string|null $mark of one aircraft alone */
    public function all(?string $mark = null, int $page = 1): DeferralsView
    {
        $this->sheets->ensure();
        $aircraft = $mark === null ? null : Aircraft::where('mark', $mark)->firstOrFail()->id;
        $ids = DB::table('deferral_lasts')
            ->when($aircraft !== null, static fn($q) => $q->where('aircraft_id', $aircraft))
            ->orderBy('last')->orderBy('deferral_id')->forPage($page, self::SHOWN)->pluck('deferral_id');
        $open = self::query()->whereIn('id', $ids)->where('state', Deferral::OPEN)->get();
        $many = Deferral::where('state', Deferral::OPEN)
            ->when($aircraft !== null, static fn($q) => $q->where('aircraft_id', $aircraft))->count();
        $this->closures->read($open);
        $carried = $open->map($this->view(...))
            ->sortBy(static fn(DeferralView $d): int => $d->daysLeft ?? PHP_INT_MAX)->values();
        $found = Finding::with(['aircraft.deferrals.listedItem', 'card', 'raiser', 'fixCard'])
            ->where('state', Finding::OPEN)
            ->when($aircraft !== null, static fn($q) => $q->where('aircraft_id', $aircraft))
            ->orderBy('id')
            ->limit(self::SHOWN)
            ->get();
        $findings = $found->sortBy(static fn(Finding $f): int => $f->fixCard === null ? 0 : 1)
            ->values()
            ->map($this->finding(...));
        $first = $carried->first();

        return new DeferralsView(
            DeferralWords::room(
                $first === null ? null : "{$first->mark} first: {$first->title} ".lcfirst($first->said),
                $found->whereNull('fixCard')->count(),
                $carried->whereIn('verdict', ['late', 'no_slot'])->count(),
            ),
            $carried->all(),
            $many,
            $page,
            max(1, (int) ceil($many / self::SHOWN)),
            // What has its card and may not be deferred is decided.
            array_values($findings->filter(
                static fn(OpenFinding $f): bool => $f->fixCard === null || $f->covers !== [],
            )->all()),
            $this->closed(),
        );
    }

    /** @return list<ClosedView> */
    private function closed(): array
    {
        return array_values(Deferral::with('aircraft', 'finding', 'listedItem')->where('state', Deferral::CLOSED)
            ->orderByDesc('closed_at')->limit(self::CLOSED)->get()
            ->map(fn(Deferral $d): ClosedView => new ClosedView(
                $d->id,
                $d->aircraft->mark,
                $d->finding->number,
                $d->listedItem->code,
                $d->name(),
                $d->finding->place,
                $this->clock->local($d->discovered_at),
                $d->closed_at === null ? '' : $this->clock->local($d->closed_at),
                $d->closed_at === null ? 0 : $d->discovered_at->dayIn($this->clock->zone())
                    ->daysUntil($d->closed_at->dayIn($this->clock->zone())),
                $d->closed_how ?? '',
            ))->all());
    }

    /** @param Deferral $d of {@see query()}, after the closures are read */
    public function view(Deferral $d): DeferralView
    {
        $clock = $this->clocks->read($d, $d->aircraft);
        $today = $this->clock->today();
        $last = $clock->forecastLast;
        $closure = $this->closures->of($d, $last);
        // What it runs out by is said in its sentence already.
        $left = Arr::except($clock->usageLeft, $clock->status === 'expired' ? [] : [(string) $clock->driver]);
        $visit = $d->closing()?->card->visit;

        return new DeferralView(
            $d->id,
            $d->aircraft->mark,
            $d->finding->number,
            $d->finding_id,
            $d->finding->place,
            $d->finding->extent,
            $d->listedItem->code,
            $d->name(),
            $d->category,
            $this->clock->local($d->discovered_at),
            $clock->expiresAt === null ? null : $this->clock->local($clock->expiresAt),
            $clock->expiresAt === null ? null : $this->clock->utc($clock->expiresAt),
            $last === null ? null : (string) $last,
            $last === null ? null : $today->daysUntil($last),
            DeferralWords::others($left),
            (string) $clock->driver,
            Outlook::carried(
                $this->load->of($d),
                $clock,
                $today,
                VisitPlans::of($today, $visit === null ? [] : [
                    $this->flying->span($visit, [DeferralNow::stopOf((string) $d->id)]),
                ]),
                (int) config('jorvel.warn_days'),
            )->value,
            DeferralWords::left($clock, $today, $this->clock->words(...)),
            $d->placard,
            $d->procedure_done ? 'done' : 'open',
            $d->listedItem->conditions,
            $closure->verdict,
            ['in_time' => 'clear', 'unknown' => 'watch'][$closure->verdict] ?? 'stop',
            $this->said($d, $closure),
            array_values($d->needs->map(fn(DeferralNeed $n): NeedView => $this->need($n, $closure))->all()),
            $visit?->title,
            $visit?->id,
        );
    }

    private function said(Deferral $d, Closure $closure): string
    {
        $names = $d->needs->mapWithKeys(static fn(DeferralNeed $n): array => [(string) $n->id => $n->what])->all();
        $slots = array_map(static fn(Stay $s): string => $s->said(), $this->closures->stays($d));
        [$most] = ShowDeferral::extension($d, $this->clocks->read($d, $d->aircraft));

        return DeferralWords::closure(
            $closure,
            $this->clock->words(...),
            $names,
            $slots,
            $most,
            $d->closing() !== null,
        );
    }

    private function need(DeferralNeed $need, Closure $closure): NeedView
    {
        $today = $this->clock->today();
        $on = $need->thereOn($today);
        $there = $on !== null && $on->number <= $today->number;

        return new NeedView(
            $need->id,
            $need->kind,
            $need->what.($need->part === null ? '' : ", {$need->quantity} of {$need->part->number}"),
            $on === null ? null : (string) $on,
            match (true) {
                $there => $need->kind === DeferralNeed::EXTENSION ? 'granted' : 'there',
                $need->kind === DeferralNeed::EXTENSION => 'asked for',
                $on === null => 'nobody knows when',
                default => 'on '.$this->clock->words($on),
            },
            match (true) {
                $there => 'clear',
                $need->kind === DeferralNeed::EXTENSION => 'watch',
                $closure->readyBy !== null && $on !== null && $on->number <= $closure->readyBy->number => 'watch',
                $on === null => 'watch',
                default => 'stop',
            },
            $there,
        );
    }

    /** @param Finding $f with `aircraft.deferrals.listedItem`, `card`, `raiser` and `fixCard` */
    public function finding(Finding $f): OpenFinding
    {
        return new OpenFinding(
            $f->id,
            $f->number,
            $f->aircraft->mark,
            $f->chapter,
            $f->card->number,
            $f->card_id,
            $f->place,
            $f->extent,
            $this->clock->local($f->raised_at),
            $f->raiser->name,
            $f->fixCard?->number,
            array_map(static fn(ListedItem $i): string => "{$i->code} {$i->title}", $this->listed->fitting($f)),
        );
    }
}
