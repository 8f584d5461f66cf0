<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Crew\Model\Person;
use App\Deferrals\Model\ListedItem;
use App\Floor\Model\Finding;
use App\Floor\Model\FollowUp;
use App\Floor\Model\Photo;
use App\Floor\Show\View\DrawingView;
use App\Floor\Show\View\FindingDetail;
use App\Floor\Show\View\HistoryLine;
use App\Floor\Show\View\PhotoView;
use App\Now\LoadListed;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\Recent;

/** One finding: where it is, what was done to its system before, and what can be done about it. */
final readonly class ShowFinding
{
    public function __construct(
        private Clock $clock,
        private ShowCard $cards,
        private SystemHistory $history,
        private ShowFollowUps $follows,
        private LoadListed $listed,
    ) {}

    public function one(Finding $finding, Person $me): FindingDetail
    {
        $finding->load([
            'followUps.person', 'followUps.card', 'followUps.led', 'followUps.rule', 'raiser', 'photos', 'card.visit',
            'aircraft.type', 'aircraft.deferrals.listedItem', 'fixCard', 'before',
        ]);
        $today = $this->clock->today();
        $recent = Recent::usual();
        $raised = $finding->raised_at->dayIn($this->clock->zone());
        $events = $this->history->of($finding->aircraft, $finding->chapter, $finding->id);
        $suspect = $events->first(static fn(PastEvent $e): bool => $e->touched() && $e->on->number <= $raised->number);
        $before = $finding->before;
        $view = $this->cards->finding($finding, $finding->aircraft->mark, $finding->card);
        $outline = $finding->aircraft->type->outline;
        $open = $finding->state === Finding::OPEN;
        $listed = collect($open ? $this->listed->fitting($finding) : []);

        return new FindingDetail(
            $view,
            $this->sentence($finding, $before, $suspect),
            $finding->spot === null ? null : (object) $finding->spot,
            $finding->sketch ?? [],
            $outline === null ? null : new DrawingView((object) $outline, []),
            array_values($finding->photos->map(fn(Photo $p): PhotoView => new PhotoView(
                $p->id,
                "/api/photos/{$p->id}",
                $this->clock->local($p->at),
                $p->bytes,
            ))->all()),
            $view->repeat,
            $before?->id,
            array_values($events->map(fn(PastEvent $e): HistoryLine => new HistoryLine(
                $e->kind,
                (string) $e->on,
                Words::fromNow(-$e->on->daysUntil($today)),
                $e->flown,
                $e->title,
                $e->said,
                $e->link,
                $e === $suspect,
                $recent->byDays($e->on, $today),
                $recent->byFlights($e->on, $today, $e->flown),
            ))->all()),
            $finding->fixCard?->number,
            $finding->fixCard?->id,
            $finding->fixed_how,
            array_keys(array_filter([
                'card' => $open
                    && $finding->fixCard === null
                    && $finding->card->visit->state !== Visit::RELEASED
                    && $me->can('plan', Visit::class),
                'defer' => $open && $listed->isNotEmpty(),
                'tree' => DB::table('fault_walks')->where('finding_id', $finding->id)->exists(),
                'photo' => $me->can('raise', $finding->card),
                'mark' => $finding->state !== Finding::FIXED && $outline !== null && $me->can('raise', $finding->card),
            ])),
            array_values($listed->map(static fn(ListedItem $i): string => "{$i->code} {$i->title}")->all()),
            $this->follows->of($finding),
            $open && $me->can('raise', $finding->card) ? $this->follows->rules($finding) : [],
        );
    }

    private function sentence(Finding $f, ?Finding $before, ?PastEvent $suspect): string
    {
        $where = "{$f->number} on {$f->aircraft->mark}, {$f->place}";
        $waits = $f->followUps->filter(static fn(FollowUp $u): bool => $u->waits())->count();
        $what = match (true) {
            $f->state !== Finding::OPEN => "{$where}: {$f->state->value}.",
            $waits > 0 => "{$where}: ".Words::count($waits, 'thing follows', 'things follow').' from it and '
                    .($waits === 1 ? 'is' : 'are').' not answered yet.',
            $f->fixCard !== null => "{$where}: card {$f->fixCard->number} fixes it.",
            default => "{$where}: fix it or defer it.",
        };
        $first = $suspect === null ? '' : ' Last touched there: '.$suspect->title.', '.Words::fromNow(
            -$suspect->on->daysUntil($this->clock->today()),
        ).'.';

        return ($before === null ? $what : "{$what} It was found there before, as {$before->number}.").$first;
    }
}
