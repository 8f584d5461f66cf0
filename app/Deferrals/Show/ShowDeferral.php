<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Crew\Model\Person;
use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Deferrals\Model\DeferralNeed;
use App\Deferrals\Show\View\ClosureStayView;
use App\Deferrals\Show\View\DeferralPage;
use App\Deferrals\Show\View\StageCardView;
use App\Deferrals\Show\View\StageView;
use App\Floor\Model\Card;
use App\Floor\Model\SafingDevice;
use App\Now\DeferralClock;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Deferrals\Category;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Deferrals\ClosingThread;
use Jorvel\Core\Deferrals\Stage;
use Jorvel\Core\Deferrals\StageCard;
use Jorvel\Core\Shared\Day;

/** One deferral: its clock, its cards and devices, what its closure needs, and how far that has come. */
final readonly class ShowDeferral
{
    public function __construct(
        private Clock $clock,
        private DeferralClock $clocks,
        private Closures $closures,
        private ShowDeferrals $show,
        private ShowOptions $options,
    ) {}

    public function one(int $id, Person $me): DeferralPage
    {
        $d = ShowDeferrals::query()->with('finding.raiser', 'finding.before', 'deferredBy', 'closedBy')
            ->findOrFail($id);
        $this->closures->read(collect([$d]));
        $clock = $this->clocks->read($d, $d->aircraft);
        $view = $this->show->view($d);
        $terms = $d->listedItem->terms();
        $devices = $this->devices($d);
        $thread = self::thread($d, $this->clock->today(), $devices->count());
        $safe = $d->cards->firstWhere('part', DeferralCard::SAFE)?->card;
        $open = $d->state === Deferral::OPEN;
        $decides = $open && $me->can('defer', Deferral::class);
        $planned = $d->closing() !== null;
        [$extend, $why] = self::extension($d, $clock);

        return new DeferralPage(
            $this->sentence($d, $thread, $view->said),
            $view,
            $d->state,
            DeferralWords::log($d, $d->finding),
            $this->options->drivers($clock, $d->limits, $d->discovered_at->dayIn($this->clock->zone())),
            $safe === null ? null : $this->card($safe),
            array_values($devices->map(ShowOptions::stay(...))->all()),
            array_values(array_filter([
                $terms->conditions,
                DeferralWords::forbids($terms->forbids),
                ...DeferralWords::restrictions($terms->restricts),
                ...array_map(static fn(string $s): string => "Needs to work: {$s}.", $terms->needs),
                $terms->crew === '' ? '' : "Crew: {$terms->crew}",
            ])),
            $this->stages($d, $thread),
            $planned || ! $open
                ? [] : $this->slots($d, $clock->forecastLast, $this->closures->of($d, $clock->forecastLast)->readyOn),
            $this->closures->hours($d),
            $extend,
            $why,
            array_map(fn(array $e): string => Words::count($e['days'], 'day')." on {$e['granted']} by {$e['by']}: "
                ."{$e['reason']} ({$e['approval']})", $d->extensions),
            $this->story($d),
            array_keys(array_filter([
                'take_back' => $decides && ! $d->procedure_done && $safe?->state === Card::OPEN,
                'extend' => $decides && $extend > 0,
                'needs' => $decides,
                'plan' => $decides && $d->procedure_done && ! $planned,
                'placard' => $open && $thread->stages[Stage::Placard->value] === 'now'
                    && $me->can('unplacard', Deferral::class),
                'close' => $decides && $thread->mayClose(),
            ])),
        );
    }

    /** How far its closure has come. @param Deferral $d with `cards.card`, `needs` and `listedItem` */
    public static function thread(Deferral $d, Day $today, int $devices): ClosingThread
    {
        $terms = $d->listedItem->terms();
        $cards = [];
        foreach ($d->cards as $part) {
            $stage = $part->stage();
            if ($stage !== null) {
                $cards[] = new StageCard((string) $part->card_id, $stage, $part->card->state);
            }
        }
        $safe = $d->cards->contains(static fn(DeferralCard $c): bool => $c->part === DeferralCard::SAFE);

        return ClosingThread::of(
            $cards,
            array_values(array_filter([
                $safe || $devices > 0 || $terms->channels !== [] ? Stage::Reverse : null,
                $terms->closes !== [] ? Stage::Test : null,
            ])),
            $d->waits()->every(static fn(DeferralNeed $n): bool => $n->thereOn($today)?->number <= $today->number
                && $n->thereOn($today) !== null),
            $devices,
            $d->placard_off_at !== null,
        );
    }

    /** @return Collection<int, SafingDevice> still on under it */
    private function devices(Deferral $d): Collection
    {
        return SafingDevice::with('card')->where('carried_by', $d->finding_id)->whereNull('removed_at')->orderBy('id')
            ->get();
    }

    /** @return array{int, string} days that may be added, and why none */
    public static function extension(Deferral $d, ClockResult $clock): array
    {
        $category = Category::from($d->category);

        return match (true) {
            $d->state !== Deferral::OPEN => [0, 'It is closed.'],
            $category->extensions() === 0 => [0, "Category {$d->category} cannot be extended."],
            count($d->extensions) >= $category->extensions() => [0,
                "Category {$d->category} is extended once, and it was."],
            $clock->status === 'expired' => [0, 'Its time has run out; what has run out is not extended.'],
            $clock->lastLocal === null => [0, 'No calendar limits it.'],
            default => [$d->discovered_at->dayIn(new \DateTimeZone($d->timezone))->daysUntil($clock->lastLocal), ''],
        };
    }

    private function sentence(Deferral $d, ClosingThread $thread, string $said): string
    {
        $what = "{$d->aircraft->mark}, {$d->name()}";

        return match (true) {
            $d->state !== Deferral::OPEN => "{$what}: closed "
                .($d->closed_at === null ? '' : $this->clock->local($d->closed_at)).'.',
            ! $d->procedure_done => "{$what}: not made safe yet. The aircraft does not fly with it until that is "
                .'signed.',
            $thread->now() === Stage::Log => "{$what}: everything is done; close the log.",
            $d->closing() !== null
                => "{$what}: being closed. Next: ".lcfirst(DeferralWords::stage($thread->now())).". {$said}.",
            default => "{$what}. {$said}.",
        };
    }

    /** @return list<StageView> */
    private function stages(Deferral $d, ClosingThread $thread): array
    {
        $out = [];
        foreach ($thread->stages as $name => $state) {
            $stage = Stage::from($name);
            $done = $d->state !== Deferral::OPEN;
            if ($state !== 'none') {
                $out[] = new StageView(
                    $name,
                    DeferralWords::stage($stage),
                    $done ? 'done' : $state,
                    array_values($d->cards->filter(static fn(DeferralCard $c): bool => $c->stage() === $stage
                        || ($stage === Stage::Inspect && $c->stage() !== null && $c->card->state === Card::SIGNED))
                        ->map(fn(DeferralCard $c): StageCardView => $this->card($c->card))->all()),
                );
            }
        }

        return $out;
    }

    private function card(Card $card): StageCardView
    {
        return new StageCardView($card->id, $card->number, $card->title, $card->state->value, match ($card->state) {
            Card::OPEN => 'not begun',
            Card::IN_WORK => 'in work',
            Card::SIGNED => 'waits for its independent inspection',
            Card::CLOSED => 'closed'.($card->closed_at === null ? '' : ' '.$this->clock->local($card->closed_at)),
        });
    }

    /** @return list<ClosureStayView> */
    private function slots(Deferral $d, ?Day $last, ?Day $ready): array
    {
        $hours = $this->closures->hours($d);
        $out = [];
        foreach ($this->closures->stays($d) as $id => $stay) {
            [$start, $end] = [$stay->slot->start, $stay->slot->end];
            $out[] = new ClosureStayView(
                $id,
                $stay->kind,
                $stay->title,
                $stay->bay,
                (string) $start,
                (string) $end,
                $this->clock->words($start).($end->number === $start->number ? '' : ' to '.$this->clock->words($end)),
                round($stay->slot->free, 1),
                $stay->slot->free >= $hours,
                $last === null || $end->number <= $last->number,
                $ready !== null && $ready->number <= $start->number,
            );
        }

        return $out;
    }

    /** @return list<string> from its finding to its end */
    private function story(Deferral $d): array
    {
        $local = $this->clock->local(...);

        return array_values(array_filter([
            $d->finding->before === null ? null : "A repeat: found there before as {$d->finding->before->number}, "
                .$local($d->finding->before->raised_at).($d->finding->before->fixed_how === null
                    ? '' : ", {$d->finding->before->fixed_how}"),
            "Found {$local($d->finding->raised_at)} by {$d->finding->raiser->name}",
            $d->decided_at === null ? null : "Deferred {$local($d->decided_at)} by {$d->deferredBy->name}"
                .($d->because === null ? '' : ": {$d->because}"),
            $d->begun_at === null ? null : "Made safe and carried from {$local($d->begun_at)}",
            ...array_map(static fn(array $e): string => 'Extended by '.Words::count($e['days'], 'day')
                ." by {$e['by']}: "
                .$e['reason'], $d->extensions),
            $d->placard_off_at === null ? null : "Placard off {$local($d->placard_off_at)}",
            $d->closed_at === null ? null : "Closed {$local($d->closed_at)} by {$d->closedBy?->name}: {$d->closed_how}",
        ]));
    }
}
