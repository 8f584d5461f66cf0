<?php

declare(strict_types=1);

namespace App\Library\Show;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Library\Do\FaultTrees;
use App\Library\Model\CardTemplate;
use App\Library\Model\FaultTree;
use App\Library\Show\View\TreeBranchView;
use App\Library\Show\View\TreeNodeView;
use App\Library\Show\View\TreePreview;
use App\Library\Show\View\TreesRoom;
use App\Library\Show\View\TreeView;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\FaultTree as Tree;
use Jorvel\Core\Bench\TreeBranch;
use Jorvel\Core\Bench\TreeDrawing;
use Jorvel\Core\Shared\InputError;

/** The fault trees: those in force, those that are proposed, and one while it is written. */
final readonly class ShowTrees
{
    public function __construct(private Clock $clock) {}

    public function all(Person $me): TreesRoom
    {
        $trees = FaultTree::with(['type', 'proposer', 'decider'])
            ->whereIn('state', [FaultTree::IN_FORCE, FaultTree::PROPOSED])
            ->orderBy('type_id')->orderBy('code')->orderBy('version')->get();
        $waits = $trees->where('state', FaultTree::PROPOSED)->count();
        $may = $me->can('write', CardTemplate::class);
        $times = self::times();

        return new TreesRoom(
            $trees->isEmpty()
                ? 'There is no fault tree yet. One is written for each test that can fail.'
                : Words::count($trees->where('state', FaultTree::IN_FORCE)->count(), 'fault tree').' in force'
                    .($waits === 0 ? '.' : '; '.Words::count($waits, 'waits', 'wait').' for a second person.'),
            array_values($trees->map(fn(FaultTree $t): TreeView => new TreeView(
                $t->id,
                $t->code,
                $t->type->code,
                $t->title,
                $t->source,
                $t->version,
                $t->state === FaultTree::PROPOSED ? 'watch' : 'clear',
                $t->state === FaultTree::PROPOSED ? 'proposed' : 'in force',
                "{$t->proposer->name}, {$this->clock->local($t->proposed_at)}: {$t->reason}"
                    .($t->decider === null ? '' : "; {$t->decider->name}"),
                $may && $t->state === FaultTree::PROPOSED && $t->proposed_by !== $me->id,
                self::json($t),
                self::nodes($t->tree(), $times["{$t->type_id} {$t->code}"] ?? []),
            ))->all()),
            array_values(AircraftType::orderBy('code')->pluck('code')->all()),
            $may,
        );
    }

    public function preview(AircraftType $type, \stdClass $body): TreePreview
    {
        try {
            return new TreePreview(null, null, self::nodes(Tree::from(FaultTrees::check($type, $body)), []));
        } catch (InputError $e) {
            return new TreePreview($e->path, ucfirst(trim("{$e->path} {$e->getMessage()}")).'.', []);
        }
    }

    public static function json(FaultTree $tree): string
    {
        return (string) json_encode(
            FaultTrees::body($tree),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /**
     * How often each branch was the cause, by type and code of the tree, then question and branch.
     *
     * @return array<string, array<string, int>>
     */
    public static function times(): array
    {
        $out = [];
        $rows = DB::table('fault_walks')->join('fault_trees', 'fault_trees.id', '=', 'fault_walks.tree_id')
            ->whereNotNull('fault_walks.cause')->get(['type_id', 'code', 'path']);
        foreach ($rows as $r) {
            $last = null;
            foreach (json_decode($r->path, true) as $step) {
                $last = isset($step['cause']) ? "{$step['node']} {$step['branch']}" : $last;
            }
            if ($last !== null) {
                $out["{$r->type_id} {$r->code}"][$last] = ($out["{$r->type_id} {$r->code}"][$last] ?? 0) + 1;
            }
        }

        return $out;
    }

    /**
     * @param array<string, int> $times by question and branch
     * @param list<array{node: string, branch: string}> $path of a walk
     * @param string|null $here the question that is open on it
     *
     * @return list<TreeNodeView>
     */
    public static function nodes(Tree $tree, array $times, array $path = [], ?string $here = null): array
    {
        $at = TreeDrawing::of($tree);
        $taken = array_map(static fn(array $p): string => "{$p['node']} {$p['branch']}", $path);
        $past = array_column($path, 'node');
        $out = [];
        foreach ($tree->nodes as $id => $node) {
            $out[] = new TreeNodeView(
                (string) $id,
                $node->title,
                $node->text,
                $node->ask,
                $node->unit?->label(),
                $node->card,
                $node->whom,
                $at[$id][0],
                $at[$id][1],
                array_map(static fn(TreeBranch $b): TreeBranchView => new TreeBranchView(
                    $b->id,
                    $b->title.self::span($b, $node->unit?->label()),
                    $b->cause,
                    $b->to,
                    $b->cause === null ? null : $times["{$id} {$b->id}"] ?? 0,
                    in_array("{$id} {$b->id}", $taken, true),
                ), $node->branches),
                $here === (string) $id ? 'here' : (in_array((string) $id, $past, true) ? 'past' : 'open'),
            );
        }

        return $out;
    }

    /** From and to which value a branch of a measurement goes. */
    private static function span(TreeBranch $b, ?string $unit): string
    {
        return match (true) {
            $b->min === null && $b->max === null => '',
            $b->min === null => ' (below '.Words::number((float) $b->max, 3)." {$unit})",
            $b->max === null => ' ('.Words::number($b->min, 3)." {$unit} or more)",
            default => ' ('.Words::number($b->min, 3).' to below '.Words::number($b->max, 3)." {$unit})",
        };
    }
}
