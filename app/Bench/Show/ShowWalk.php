<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Do\Walks;
use App\Bench\Model\FaultWalk;
use App\Bench\Show\View\WalkStepView;
use App\Bench\Show\View\WalkView;
use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Library\Show\ShowTrees;
use App\Shared\Clock;
use Jorvel\Core\Bench\TreeNode;
use Jorvel\Core\Shared\Instant;

/** The way through a fault tree, with what is asked now. */
final readonly class ShowWalk
{
    public function __construct(private Clock $clock, private Walks $walks) {}

    public function of(FaultWalk $walk, Person $me): WalkView
    {
        $walk->load(['tree.type', 'finding.aircraft', 'finding.card', 'attempt']);
        $here = $walk->here();
        $card = $this->walks->cardOf($walk);
        $times = ShowTrees::times()["{$walk->tree->type_id} {$walk->tree->code}"] ?? [];
        $finding = $walk->finding;

        return new WalkView(
            $this->sentence($walk, $here, $card),
            $finding->id,
            $finding->number,
            $finding->aircraft->mark,
            "{$walk->tree->code} {$walk->tree->title}",
            $walk->tree->source,
            $walk->version,
            ShowTrees::nodes($walk->tree->tree(), $times, $walk->path, $here?->id),
            $here?->id,
            array_map(fn(array $p): WalkStepView => new WalkStepView(
                $p['title'],
                $p['said'],
                $p['cause'] ?? null,
                "{$p['by']}, ".$this->clock->local(Instant::parse($p['at'])),
            ), $walk->path),
            $walk->cause,
            $card?->id,
            $card?->number,
            $card?->state === Card::CLOSED,
            $finding->card_id,
            (int) $finding->step_no,
            $finding->state === Finding::OPEN && $me->can('raise', $finding->card),
        );
    }

    private function sentence(FaultWalk $walk, ?TreeNode $here, ?Card $card): string
    {
        $of = "{$walk->finding->number} on {$walk->finding->aircraft->mark}: ";

        return $of.match (true) {
            $walk->finding->state !== Finding::OPEN => "{$walk->finding->state->value}"
                .($walk->finding->fixed_how === null ? '.' : ", {$walk->finding->fixed_how}."),
            $here === null => $walk->cause === null
                ? 'walked to its end without a cause.'
                : "the cause is {$walk->cause}.",
            $here->ask === 'end' => "the tree ends here. Ask {$here->whom}.",
            $here->ask === 'test' => 'repeat the test.',
            $here->ask === 'card' => $card === null ? "work {$here->card}." : "work card {$card->number}.",
            default => "{$here->title}",
        };
    }
}
