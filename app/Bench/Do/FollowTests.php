<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\FaultWalk;
use App\Floor\CardClosed;
use App\Floor\Do\NewFinding;
use App\Floor\Do\RaiseFinding;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Severity;
use App\Floor\Model\TestAttempt;
use App\Floor\TestFailed;
use App\Floor\TestPassed;
use App\Library\Model\FaultTree;
use App\Shared\Clock;
use App\Shared\Records;
use Illuminate\Support\Collection;
use Jorvel\Core\Floor\AttemptState;

/**
 * What follows from the verdict of a functional test: a failure is a finding, and opens its fault tree; a repeated test
 * answers the question of the tree that asked for it; a finding is fixed with the card on which the test passed.
 */
final readonly class FollowTests
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private RaiseFinding $raise,
        private Walks $walks,
    ) {}

    public function failed(TestFailed $told): void
    {
        $attempt = $told->attempt;
        $before = $this->openOf($attempt)->first();
        if ($before !== null) {
            $attempt->update(['finding_id' => $before->finding_id]);
            $this->answered($before, $told, 'fail', "attempt {$attempt->no} failed");

            return;
        }
        $tree = isset($told->verdict->spec['tree'])
            ? FaultTree::latest($told->verdict->card->aircraft->type_id)->where('code', $told->verdict->spec['tree'])
                ->first()
            : null;
        if ($tree === null) {
            return;
        }
        $finding = $this->raise->raise($told->by, $told->verdict->card, new NewFinding(
            $attempt->title,
            "attempt {$attempt->no} failed: ".implode('; ', $attempt->decided ?? []),
            Severity::Major,
            step: $told->verdict->no,
            follows: false,
        ));
        $attempt->update(['finding_id' => $finding->id]);
        FaultWalk::create([
            'finding_id' => $finding->id, 'tree_id' => $tree->id, 'attempt_id' => $attempt->id, 'path' => [],
        ]);
        $this->records->write($told->by, 'fault.opened', "finding:{$finding->id}", [
            'finding' => $finding->number, 'tree' => $tree->code, 'version' => $tree->version,
            'attempt' => $attempt->no,
        ]);
    }

    public function passed(TestPassed $told): void
    {
        foreach ($this->openOf($told->attempt) as $walk) {
            $this->answered($walk, $told, 'pass', "attempt {$told->attempt->no} passed");
        }
    }

    /**
     * A finding that a test raised is fixed with the card on which that test passed, unless a card of its own fixes
     * it.
     */
    public function closed(CardClosed $told): void
    {
        $now = (string) $this->clock->now();
        $attempts = TestAttempt::where('card_id', $told->card->id)->orderBy('no')->get()->groupBy('key');
        foreach ($attempts as $of) {
            $last = $of->where('stands', true)->last();
            $ids = $of->pluck('finding_id')->filter()->unique();
            if ($ids->isEmpty() || $last?->state !== AttemptState::Passed) {
                continue;
            }
            $causes = FaultWalk::whereIn('finding_id', $ids)->pluck('cause', 'finding_id');
            $open = Finding::with('followUps')->whereIn('id', $ids)->where('state', Finding::OPEN)->get();
            foreach ($open as $finding) {
                if ($finding->unanswered() !== [] || Card::where('finding_id', $finding->id)->exists()) {
                    continue;
                }
                $finding->update([
                    'state' => Finding::FIXED, 'settled_at' => $now,
                    'fixed_how' => ($causes[$finding->id] ?? 'no cause named')
                        ."; attempt {$last->no} passed, card {$told->card->number}",
                ]);
                $this->records->write($told->by, 'finding.fixed', "finding:{$finding->id}", [
                    'number' => $finding->number, 'how' => $finding->fixed_how,
                ]);
            }
        }
    }

    /** @return Collection<int, FaultWalk> of open findings that earlier attempts at the same test raised */
    private function openOf(TestAttempt $attempt): Collection
    {
        $findings = TestAttempt::where(['card_id' => $attempt->card_id, 'key' => $attempt->key])
            ->whereNotNull('finding_id')->pluck('finding_id');

        return FaultWalk::with(['tree', 'finding'])->whereIn('finding_id', $findings)
            ->whereHas('finding', static fn($q) => $q->where('state', Finding::OPEN))->get()->toBase();
    }

    private function answered(FaultWalk $walk, TestFailed|TestPassed $told, string $branch, string $said): void
    {
        $node = $walk->here();
        if ($node?->ask === 'test') {
            $this->walks->take($told->by, $walk, $node, $node->branch($branch), $said);
        }
    }
}
