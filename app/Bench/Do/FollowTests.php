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
        $passed = $this->passedAtLast($told->card);
        $open = Finding::with('followUps')->whereIn('id', array_keys($passed))->where('state', Finding::OPEN)->get();
        $causes = FaultWalk::whereIn('finding_id', $open->pluck('id'))->pluck('cause', 'finding_id');
        $carded = Card::whereIn('finding_id', $open->pluck('id'))->pluck('finding_id');
        foreach ($open as $finding) {
            if ($finding->unanswered() !== [] || $carded->contains($finding->id)) {
                continue;
            }
            $finding->update([
                'state' => Finding::FIXED, 'settled_at' => (string) $this->clock->now(),
                'fixed_how' => ($causes[$finding->id] ?? 'no cause named')
                    ."; attempt {$passed[$finding->id]->no} passed, card {$told->card->number}",
            ]);
            $this->records->write($told->by, 'finding.fixed', "finding:{$finding->id}", [
                'number' => $finding->number, 'how' => $finding->fixed_how,
            ]);
        }
    }

    /** @return array<int, TestAttempt> the attempts that stand and passed, by the findings of those before them */
    private function passedAtLast(Card $card): array
    {
        $out = [];
        foreach (TestAttempt::where('card_id', $card->id)->orderBy('no')->get()->groupBy('key') as $of) {
            $last = $of->where('stands', true)->last();
            if ($last?->state === AttemptState::Passed) {
                $out += array_fill_keys($of->pluck('finding_id')->filter()->all(), $last);
            }
        }

        return $out;
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
