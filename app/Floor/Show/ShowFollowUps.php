<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\FollowUp;
use App\Floor\Show\View\FollowUpView;
use App\Floor\Show\View\RulePick;
use App\Library\FollowWords;
use App\Library\Model\FollowRule;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Library\FollowKind;

/** What follows from a finding, each with what is known of it. */
final readonly class ShowFollowUps
{
    public function __construct(private Clock $clock, private SystemHistory $history) {}

    /**
     * @param Finding $finding with `followUps` and their `person`, `card`, `led`, `rule`; `aircraft`
     *
     * @return list<FollowUpView>
     */
    public function of(Finding $finding): array
    {
        return array_values($finding->followUps->map(fn(FollowUp $f): FollowUpView => $this->one($finding, $f))->all());
    }

    /** @return list<RulePick> rules for findings that are not opened at this one */
    public function rules(Finding $finding): array
    {
        $opened = $finding->followUps->map(static fn(FollowUp $f): string => $f->rule->code)->all();

        return array_values(FollowRule::inForce($finding->aircraft->type_id)->get()
            ->filter(static fn(FollowRule $r): bool => isset($r->body['found']) && ! in_array($r->code, $opened, true))
            ->map(static fn(FollowRule $r): RulePick => new RulePick($r->id, $r->code, $r->body['title'], ''))->all());
    }

    private function one(Finding $finding, FollowUp $f): FollowUpView
    {
        [$state, $word] = match (true) {
            $f->waits() => ['waiting', 'to be answered'],
            $f->kind === FollowKind::Suspect => ['watch', 'suspect'],
            $f->card !== null => $f->card->state === Card::CLOSED ? ['clear', 'signed'] : ['waiting', 'open'],
            $f->led !== null => ['stop', 'something is wrong'],
            $f->state === FollowUp::NOT_NEEDED => ['clear', 'not needed'],
            default => ['clear', 'answered'],
        };
        $by = $f->person === null || $f->at === null ? '' : " ({$f->person->name}, {$this->clock->local($f->at)})";
        $event = $f->chapter === null ? null : $this->touched($finding, $f->chapter);

        return new FollowUpView(
            $f->id,
            $f->kind->value,
            FollowWords::kind($f->kind),
            $f->text,
            $f->choices,
            $state,
            $word,
            match (true) {
                $f->answer !== '' => $f->answer.$by,
                $f->chapter === null => null,
                $event === null => "Nobody's hands were on chapter {$f->chapter} in the last 90 days and 30 flights.",
                default => "Last touched: {$event->title}, "
                    .Words::fromNow(-$event->on->daysUntil($this->clock->today())).'.',
            },
            match (true) {
                $f->card !== null => "/floor/{$f->card->id}", $f->led !== null => "/floor/findings/{$f->led->id}",
                default => $event?->link,
            },
            match (true) {
                $f->card !== null => "Card {$f->card->number}", $f->led !== null => "Finding {$f->led->number}",
                $event?->link !== null => 'look at it', default => null,
            },
            "{$f->rule->code}, {$f->rule->body['source']}",
            $f->waits(),
            $f->reopens($finding->state),
        );
    }

    /** Who last had their hands on a system before the finding: the first suspect. */
    private function touched(Finding $finding, string $chapter): ?PastEvent
    {
        $raised = $finding->raised_at->dayIn($this->clock->zone());

        return $this->history->of($finding->aircraft, $chapter, $finding->id)->first(
            static fn(PastEvent $e): bool => $e->touched() && $e->on->number <= $raised->number
                && $e->link !== "/floor/{$finding->card_id}",
        );
    }
}
