<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Library\Model\CardTemplate;
use App\Library\Model\FaultTree;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\FaultTree as Tree;
use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Shared\InputError;
use stdClass;

/** Fault trees: proposed by one, in force once another has agreed; every version is kept. */
final readonly class FaultTrees
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param stdClass $body as in core/schema/tree.json
     * @param int|null $seen version that the writer saw; null for a new tree
     *
     * @throws Refused where it says what it said before, or somebody else wrote meanwhile
     */
    public function propose(Person $by, AircraftType $type, stdClass $body, string $reason, ?int $seen): FaultTree
    {
        return DB::transaction(function () use ($by, $type, $body, $reason, $seen): FaultTree {
            $nodes = self::check($type, $body);
            $of = FaultTree::where(['type_id' => $type->id, 'code' => $body->code])->orderByDesc('version')->get();
            $last = $of->first();
            if ($last?->version !== $seen) {
                throw Refused::stale(
                    $seen === null
                    ? "There is a fault tree {$body->code} already. Change that one; nothing was saved."
                    : "Somebody else changed {$body->code} meanwhile. What you wrote is still here; nothing was saved.",
                    $last?->nodes,
                );
            }
            $same = [$nodes, $body->title, $body->source];
            if ($last !== null && [$last->nodes, $last->title, $last->source] === $same) {
                throw Refused::because("{$body->code} says that already. Nothing was saved.");
            }
            $of->where('state', FaultTree::PROPOSED)->each(static fn(FaultTree $t): bool
                => $t->update(['state' => 'replaced']));
            $new = FaultTree::create([
                'type_id' => $type->id, 'code' => $body->code, 'version' => ($last->version ?? 0) + 1,
                'title' => $body->title, 'source' => $body->source, 'nodes' => $nodes,
                'state' => FaultTree::PROPOSED, 'reason' => $reason, 'proposed_by' => $by->id,
                'proposed_at' => (string) $this->clock->now(),
            ]);
            $this->records->write($by, 'tree.proposed', "tree:{$new->id}", [
                'code' => $new->code, 'version' => $new->version, 'reason' => $reason, 'nodes' => $nodes,
            ]);

            return $new;
        });
    }

    /** @throws Refused for one that is decided, or one's own */
    public function decide(Person $by, int $id, bool $accept): FaultTree
    {
        return DB::transaction(function () use ($by, $id, $accept): FaultTree {
            $tree = FaultTree::with('type')->findOrFail($id);
            if ($tree->state !== FaultTree::PROPOSED) {
                throw Refused::because('It is decided already. Nothing was changed.');
            }
            if ($tree->proposed_by === $by->id) {
                throw Refused::because('You proposed it; somebody else brings it in force. Nothing was changed.');
            }
            if ($accept) {
                FaultTree::latest($tree->type_id)->where('code', $tree->code)->update(['state' => 'replaced']);
            }
            $tree->update([
                'state' => $accept ? FaultTree::IN_FORCE : 'declined', 'decided_by' => $by->id,
                'decided_at' => (string) $this->clock->now(),
            ]);
            $this->records->write($by, "tree.{$tree->state}", "tree:{$tree->id}", [
                'code' => $tree->code, 'version' => $tree->version,
            ]);

            return $tree;
        });
    }

    /**
     * @return list<array<string, mixed>> its questions, as they are kept
     *
     * @throws InputError for a shape that is none, another type, or a card that is not in Library
     */
    public static function check(AircraftType $type, stdClass $body): array
    {
        Schema::check('tree', $body);
        if ($body->type !== $type->code) {
            throw InputError::at('type', "is {$body->type}; this is the {$type->code}");
        }
        /** @var list<array<string, mixed>> $nodes */
        $nodes = json_decode((string) json_encode($body->nodes), true);
        $tree = Tree::from($nodes);
        $cards = array_filter(array_column($nodes, 'card'));
        $known = CardTemplate::where('type_id', $type->id)->whereIn('code', $cards)->pluck('code')->all();
        foreach (array_values($tree->nodes) as $i => $node) {
            if ($node->card !== null && ! in_array($node->card, $known, true)) {
                throw InputError::notAmong("nodes.{$i}.card", "cards of the {$type->code}", $node->card);
            }
        }

        return $nodes;
    }

    /** @return array<string, mixed> as it is taken away, and brought in again */
    public static function body(FaultTree $tree): array
    {
        return [
            'code' => $tree->code, 'type' => $tree->type->code, 'title' => $tree->title, 'source' => $tree->source,
            'nodes' => $tree->nodes,
        ];
    }
}
