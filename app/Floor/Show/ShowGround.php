<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Bench\Model\RigRun;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Floor\RigWords;
use App\Floor\Show\View\GroundView;
use App\Floor\Show\View\WatchedView;
use App\Library\Model\FollowRule;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Bench\Rigging\RigVerdict;
use Jorvel\Core\Floor\AttemptState;

/** The ground runs of a rigging sheet: the one that goes on, or what the next one asks for. */
final readonly class ShowGround
{
    public function __construct(private Clock $clock) {}

    /** Null for a sheet that is not read in runs, and nothing is read for one. */
    public function of(Step $step): ?GroundView
    {
        $ground = $step->spec['ground'] ?? [];
        if (! isset($ground['places'])) {
            return null;
        }
        $runs = RigRun::grounds($step);
        $last = $runs->last();
        $on = $last?->state === AttemptState::Begun ? $last : null;
        $no = $on->no ?? $runs->count() + 1;

        return new GroundView(
            $no,
            $ground['budget'],
            RigWords::ground($ground, $no),
            $on === null ? null : $this->goesOn($on, $step->runs->last()),
            $on?->id,
            $ground['places'],
            $ground['stop'] ?? null,
            $this->limits($step, $ground['limits'] ?? []),
            $on === null && $last?->state === AttemptState::BrokenOff
                ? "Ground run {$last->no} was broken off: {$last->broken_why}"
                : null,
        );
    }

    /** Since when it goes on, and who is where. */
    private function goesOn(TestAttempt $run, ?RigRun $round): string
    {
        $crew = array_filter($run->conditions, static fn(array $c): bool => isset($c['name']));

        return "since {$this->clock->local($run->begun_at)}: ".implode(', ', array_map(
            static fn(array $c): string => "{$c['name']} at {$c['title']}",
            $crew,
        )).($round?->verdict() === RigVerdict::ReadAgain ? '. Read once more in it' : '');
    }

    /**
     * @param list<array{title: string, rule: string, position: string}> $limits
     *
     * @return list<WatchedView>
     */
    private function limits(Step $step, array $limits): array
    {
        $tables = $limits === [] ? [] : FollowRule::tables($step->card->aircraft->type_id);
        $out = [];
        foreach ($limits as $limit) {
            $table = $tables[$limit['rule']] ?? null;
            $out[] = new WatchedView(
                $limit['title'],
                $table?->unit->label() ?? '',
                $table === null ? 'not in force' : ($table->over ? 'at most ' : 'at least ')
                    .Words::number($table->limit, 1)." {$table->unit->label()}",
            );
        }

        return $out;
    }
}
