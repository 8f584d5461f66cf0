<?php

declare(strict_types=1);

namespace App\Release\Show;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Release\Model\Certificate;
use App\Release\Show\View\BlockerView;
use App\Release\Show\View\ReleaseRow;
use App\Release\Show\View\ReleasesView;
use App\Release\Show\View\ReleaseView;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Instant;

/** What the room Release shows: what blocks first, then what was signed. */
final readonly class ShowRelease
{
    public function __construct(private Readiness $readiness, private Clock $clock) {}

    public function all(Person $me): ReleasesView
    {
        $certificates = Certificate::all()->keyBy('visit_id');
        $rows = $this->readiness->query()->orderByRaw("state = 'released'")->orderBy('end')->limit(50)->get()->map(function (Visit $v) use ($me, $certificates): ReleaseRow {
            $certificate = $certificates->get($v->id);
            $blockers = $certificate === null ? $this->work($this->readiness->blockers($v, $me)) : 0;

            return new ReleaseRow(
                $v->id,
                $v->aircraft->mark,
                $v->aircraft->type->code,
                $v->title,
                $v->end,
                $certificate !== null ? 'clear' : ($blockers === 0 ? 'watch' : 'stop'),
                $blockers,
                $certificate?->number,
                match (true) {
                    $certificate !== null => "released, {$certificate->number}",
                    $blockers === 0 => 'ready for the certifier',
                    default => $blockers === 1 ? '1 thing in the way' : "{$blockers} things in the way",
                },
            );
        });
        $ready = $rows->where('state', 'watch');
        $sentence = match (true) {
            $rows->isEmpty() => 'Nothing is on its way out. Visits come here as soon as they are made.',
            $ready->isNotEmpty() => $ready->pluck('mark')->implode(', ').($ready->count() === 1 ? ' is' : ' are').' ready for the certifier.',
            default => 'No aircraft is ready yet.',
        };

        return new ReleasesView($sentence, $rows->all());
    }

    public function one(int $id, Person $me): ReleaseView
    {
        $visit = $this->readiness->query()->findOrFail($id);
        $certificate = Certificate::with('person')->firstWhere('visit_id', $id);
        $blockers = $certificate === null ? $this->readiness->blockers($visit, $me) : [];
        $mark = $visit->aircraft->mark;
        $count = count($blockers);
        $sentence = match (true) {
            $certificate !== null => "{$mark} is released to service under {$certificate->number}.",
            $count === 0 => "{$mark} is ready. Nothing stands in the way of its release.",
            $count === 1 => "One thing keeps {$mark} here: {$blockers[0]->title} {$blockers[0]->text}.",
            default => "{$count} things keep {$mark} here, first: {$blockers[0]->title} {$blockers[0]->text}.",
        };

        return new ReleaseView(
            $visit->id,
            $mark,
            $visit->aircraft->type->code,
            $visit->title,
            $visit->state,
            $sentence,
            $count === 0 ? 'ready' : 'blocked',
            $blockers,
            array_values($visit->cards->map(static fn(Card $c): string => "{$c->number} {$c->title}")->all()),
            $certificate?->number,
            $certificate === null ? null : "{$certificate->person->name} ({$certificate->person->stamp}), ".$this->clock->local(Instant::parse($certificate->at)),
            $me->can('release', Visit::class),
            array_map(static fn(array $m): string => "{$m['code']} {$m['title']}: next by {$m['next']}", $certificate->moved ?? []),
        );
    }

    /** @param list<BlockerView> $blockers */
    private function work(array $blockers): int
    {
        return count(array_filter($blockers, static fn(BlockerView $b): bool => $b->code !== 'not_authorised'));
    }
}
