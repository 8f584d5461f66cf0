<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\FaultWalk;
use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Library\Model\CardTemplate;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Visits\Do\AddCard;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\TreeBranch;
use Jorvel\Core\Bench\TreeNode;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;

/** A fault tree is walked, answer by answer, as the approved data has it; the way is kept on its finding. */
final readonly class Walks
{
    public function __construct(private Clock $clock, private Records $records, private AddCard $add) {}

    /**
     * One answer to the question that is open.
     *
     * @param string $branch id of an answer; of a measurement the value as typed
     *
     * @throws Refused for a question that is answered otherwise, or somebody who saw an older way
     */
    public function answer(Person $by, FaultWalk $walk, int $seen, string $branch, string $note): FaultWalk
    {
        return DB::transaction(function () use ($by, $walk, $seen, $branch, $note): FaultWalk {
            $node = $this->open($walk, $seen);
            $said = '';
            if ($node->ask === 'test') {
                throw Refused::because('The test itself answers that: repeat it. Nothing was saved.');
            }
            if ($node->ask === 'card') {
                $this->requireWorked($walk);
                $branch = 'done';
            }
            try {
                if ($node->ask === 'measure' && $node->unit !== null) {
                    $value = Entered::parse($branch, $node->unit)->value;
                    $of = $node->measured($value);
                    $said = Words::number($value, 4)." {$node->unit->label()}: {$of->title}";
                } else {
                    $of = $node->branch($branch);
                    $said = $of->title;
                }
            } catch (InputError $e) {
                throw Refused::because(ucfirst("{$node->title}: {$e->getMessage()}. Nothing was saved."));
            }
            $this->take($by, $walk, $node, $of, $note === '' ? $said : "{$said} ({$note})");

            return $walk;
        });
    }

    /** One step further, whoever or whatever answered. */
    public function take(Person $by, FaultWalk $walk, TreeNode $node, TreeBranch $of, string $said): void
    {
        $now = (string) $this->clock->now();
        $path = $walk->path;
        $path[] = array_filter([
            'node' => $node->id, 'branch' => $of->id, 'title' => $node->title, 'said' => $said,
            'by' => "{$by->name} ({$by->stamp})", 'at' => $now, 'cause' => $of->cause,
        ], static fn(mixed $v): bool => $v !== null);
        $walk->update([
            'path' => $path, 'version' => $walk->version + 1,
            'cause' => $of->cause ?? $walk->cause,
            'ended_at' => $of->to === null ? $now : null,
        ]);
        $this->records->write($by, 'fault.step', "finding:{$walk->finding_id}", [
            'tree' => $walk->tree->code, 'version' => $walk->tree->version, 'node' => $node->id, 'branch' => $of->id,
            'said' => $said,
            ...$of->cause === null ? [] : ['cause' => $of->cause],
        ]);
    }

    /**
     * The last answer was wrong: it is open again; what was said stays in the record.
     *
     * @throws Refused without a reason, or where the test itself answered
     */
    public function back(Person $by, FaultWalk $walk, int $seen, string $why): FaultWalk
    {
        return DB::transaction(function () use ($by, $walk, $seen, $why): FaultWalk {
            $this->requireSeen($walk, $seen);
            $path = $walk->path;
            $last = array_pop($path);
            if ($last === null || $walk->finding->state !== Finding::OPEN) {
                throw Refused::because('There is no answer to take back. Nothing was changed.');
            }
            $tree = $walk->tree->tree();
            if ($tree->node($last['node'])->ask === 'test') {
                throw Refused::because('The test answered that; its attempt is kept. Nothing was changed.');
            }
            if ($why === '') {
                throw Refused::because('Say why the answer is taken back. Nothing was changed.');
            }
            $walk->update([
                'path' => $path, 'version' => $walk->version + 1, 'ended_at' => null, 'cause' => $tree->cause($path),
            ]);
            $this->records->write($by, 'fault.back', "finding:{$walk->finding_id}", [
                'node' => $last['node'], 'branch' => $last['branch'], 'why' => $why,
            ]);

            return $walk;
        });
    }

    /**
     * The card that the tree names, on the visit of the finding: made, or the open one that stands there already.
     *
     * @throws Refused where the question that is open is none, or the visit is over
     */
    public function card(Person $by, FaultWalk $walk, int $seen): Card
    {
        $node = $this->open($walk, $seen);
        if ($node->card === null) {
            throw Refused::because('No card answers the question that is open. Nothing was made.');
        }
        $there = $this->cardOf($walk);
        if ($there !== null && ! $there->worked()) {
            return $there;
        }
        $template = CardTemplate::where('type_id', $walk->finding->aircraft->type_id)->where('code', $node->card)
            ->first()
            ?? throw Refused::because(
                "{$node->card} is not in Library any more. Nothing was made; ask the controller.",
            );

        return ($this->add)($by, $walk->finding->card->visit_id, $template->id);
    }

    /** The last card of the kind that the open question names, since the walk was begun; null where there is none. */
    public function cardOf(FaultWalk $walk): ?Card
    {
        $node = $walk->here();

        return $node?->card === null ? null : Card::where('visit_id', $walk->finding->card->visit_id)
            ->whereHas('template', static fn($q) => $q->where('code', $node->card))
            // One that was closed before the test failed says nothing of this fault.
            ->where(static fn($q) => $q->whereNull('closed_at')
                ->orWhere('closed_at', '>=', (string) $walk->finding->raised_at))
            ->orderByDesc('id')->first();
    }

    private function requireWorked(FaultWalk $walk): void
    {
        $card = $this->cardOf($walk);
        if ($card?->state !== Card::CLOSED) {
            throw Refused::because($card === null
                ? 'The card is not made yet. Nothing was saved.'
                : "Card {$card->number} is not closed yet. Nothing was saved.");
        }
    }

    private function open(FaultWalk $walk, int $seen): TreeNode
    {
        $this->requireSeen($walk, $seen);

        return $walk->here() ?? throw Refused::because('This fault tree was walked to its end. Nothing was saved.');
    }

    private function requireSeen(FaultWalk $walk, int $seen): void
    {
        if ($walk->version !== $seen) {
            throw Refused::stale(
                'Somebody else answered meanwhile. Look at the way as it is now; nothing was saved.',
                $walk->version,
            );
        }
    }
}
