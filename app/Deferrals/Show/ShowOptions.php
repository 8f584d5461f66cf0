<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Crew\Model\Person;
use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Show\View\DriverView;
use App\Deferrals\Show\View\OptionsView;
use App\Deferrals\Show\View\OptionView;
use App\Deferrals\Show\View\StayView;
use App\Floor\Do\SafingRegister;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Library\Model\CardTemplate;
use App\Now\DeferralClock;
use App\Now\LoadFlying;
use App\Now\LoadListed;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Deferrals\Fits;
use Jorvel\Core\Shared\Day;

/**
 * Under which listed items a finding may be carried and under which not, each with its reason, its clock and what it
 * does.
 */
final readonly class ShowOptions
{
    public function __construct(
        private Clock $clock,
        private DeferralClock $clocks,
        private LoadListed $listed,
        private Together $together,
        private ShowDeferrals $show,
        private SafingRegister $register,
    ) {}

    public function of(int $findingId, Person $me): OptionsView
    {
        $finding = Finding::with([
            'aircraft' => static fn($q) => $q->with(LoadFlying::with()), 'aircraft.type',
            'aircraft.deferrals.listedItem', 'aircraft.deferrals.finding', 'card', 'raiser', 'fixCard',
        ])->findOrFail($findingId);
        $options = [];
        $cards = CardTemplate::where('type_id', $finding->aircraft->type_id)->pluck('title', 'code');
        $open = $finding->state === Finding::OPEN;
        foreach ($open ? $this->listed->options($finding) : [] as [$item, $why]) {
            $safe = $item->terms()->safe;
            $options[] = $this->option($finding, $item, $why, $safe === null ? null : "{$safe} {$cards->get($safe)}");
        }
        $fits = count(array_filter($options, static fn(OptionView $o): bool => $o->fits));
        $carried = $finding->aircraft->deferrals;

        return new OptionsView(
            "{$finding->number} on {$finding->aircraft->mark}, {$finding->place}: ".match (true) {
                ! $open => "already {$finding->state->value}.",
                $options === [] => "nothing of chapter {$finding->chapter} is on the list. It must be fixed before "
                    .'release.',
                $fits === 0 => 'no listed item covers it. It must be fixed before release.',
                default => Words::count($fits, 'listed item covers it', 'listed items cover it').'.',
            },
            $this->show->finding($finding),
            $options,
            array_values($this->register->of($finding->aircraft)->whereNull('carried_by')
                ->map(static fn(SafingDevice $d): StayView => self::stay($d))->all()),
            array_values($carried->map(static fn(Deferral $d): string => "{$d->finding->number} {$d->listedItem->code} "
                .$d->name())->all()),
            $open && $me->can('defer', Deferral::class),
            $open,
        );
    }

    public static function stay(SafingDevice $d): StayView
    {
        return new StayView($d->id, "{$d->kind}, {$d->place}", $d->card->number, $d->storage);
    }

    /** @param list<string> $why */
    private function option(Finding $finding, ListedItem $item, array $why, ?string $safe): OptionView
    {
        $terms = $item->terms();
        $clock = $this->clocks->preview($finding, $item);
        $late = $clock->status === 'expired';
        $soft = $why === ['other_part'] && ! $late;

        [$forbids, $grounds] = $why === [] || $soft ? $this->together->with($finding, $item) : [[], []];

        return new OptionView(
            $item->id,
            $item->code,
            $item->version,
            $item->title,
            $item->category,
            $why === [] && ! $late,
            implode('; ', array_filter([
                DeferralWords::unfit($why, $terms, DeferralWords::numbers($finding->aircraft)),
                $late ? 'its time has run out since it was found' : '',
            ])),
            $soft,
            $terms->positions,
            Fits::position($terms, "{$finding->place} {$finding->extent}"),
            $terms->conditions,
            $terms->crew,
            $item->placard,
            $safe,
            DeferralWords::left($clock, $this->clock->today(), $this->clock->words(...)),
            $clock->forecastLast === null ? null : (string) $clock->forecastLast,
            $this->drivers($clock, $item->limits, $finding->raised_at->dayIn($this->clock->zone())),
            array_values(array_filter([
                DeferralWords::forbids($terms->forbids),
                ...DeferralWords::restrictions($terms->restricts),
                ...array_map(static fn(string $s): string => "Needs to work: {$s}.", $terms->needs),
            ])),
            $forbids,
            $grounds,
        );
    }

    /**
     * Every limit of a clock, from the day of its discovery on.
     *
     * @param array<string, float> $limits
     *
     * @return list<DriverView>
     */
    public function drivers(ClockResult $clock, array $limits, Day $from): array
    {
        $out = [];
        foreach ($clock->lasts as $name => $last) {
            $out[] = new DriverView(
                $name,
                $name === 'days'
                    ? Words::count($from->daysUntil($last ?? $from), 'day')
                    : Words::amount((float) ($limits[$name] ?? 0), $name),
                $last === null ? 'not within twenty years' : $this->clock->words($last),
                $last === null ? null : $from->daysUntil($last),
                $from->daysUntil($this->clock->today()),
                $name === $clock->driver,
            );
        }

        return $out;
    }
}
