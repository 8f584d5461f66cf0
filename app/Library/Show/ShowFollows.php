<?php

declare(strict_types=1);

namespace App\Library\Show;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Floor\Model\Finding;
use App\Library\Do\FollowRules;
use App\Library\FollowWords;
use App\Library\LibraryWords;
use App\Library\Model\CardTemplate;
use App\Library\Model\FollowRule;
use App\Library\Show\View\FollowPreview;
use App\Library\Show\View\FollowRuleView;
use App\Library\Show\View\FollowsRoom;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Library\FollowRule as Rule;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** The rules of what follows: those in force, those that are proposed, and what one would do while it is written. */
final readonly class ShowFollows
{
    /** Findings of a type against which a rule is tried. */
    private const TRIED = 500;

    /** Those that are listed. */
    private const LISTED = 6;

    public function __construct(private Clock $clock) {}

    public function all(Person $me): FollowsRoom
    {
        $rules = FollowRule::with('type', 'proposer', 'decider')
            ->whereIn('state', [FollowRule::IN_FORCE, FollowRule::PROPOSED])
            ->orderBy('type_id')->orderBy('code')->orderBy('version')->get();
        $latest = FollowRule::selectRaw('type_id, code, max(version) as version')->groupBy('type_id', 'code')->get()
            ->mapWithKeys(static fn(FollowRule $r): array => ["{$r->type_id} {$r->code}" => $r->version])->all();
        $waits = $rules->where('state', FollowRule::PROPOSED)->count();

        return new FollowsRoom(
            $this->sentence($rules, $waits),
            array_values($rules->map(fn(FollowRule $r): FollowRuleView => $this->one(
                $r,
                $latest["{$r->type_id} {$r->code}"],
                $me->id,
            ))->all()),
            array_values(AircraftType::orderBy('code')->pluck('code')->all()),
            array_column(Unit::cases(), 'value'),
            $me->can('write', CardTemplate::class),
        );
    }

    /** What a rule would do as it is written now, and which findings it would have held for. */
    public function preview(AircraftType $type, \stdClass $body): FollowPreview
    {
        try {
            $rule = FollowRules::check($type, $body);
        } catch (InputError $e) {
            $place = $e->path === '' ? 'the rule' : str_replace('then', 'what follows', LibraryWords::place($e->path));

            return new FollowPreview($e->path, ucfirst("{$place}: {$e->getMessage()}."), null, [], '', []);
        }
        $tried = Finding::with('aircraft')->whereRelation('aircraft', 'type_id', $type->id)->orderByDesc('id')
            ->limit(self::TRIED)->get();
        $held = $tried->filter(static fn(Finding $f): bool => $rule->holds($f->chapter, "{$f->place} {$f->extent}"));

        return new FollowPreview(
            null,
            null,
            FollowWords::when($rule),
            FollowWords::then($rule),
            $rule->found === null ? '' : "Of the last {$tried->count()} findings on the {$type->code} it would have held "
                .'for '.($held->isEmpty() ? 'none.' : "{$held->count()}."),
            array_values($held->take(self::LISTED)->map(static fn(Finding $f): string => "{$f->number} "
                ."{$f->aircraft->mark}, {$f->place}: {$f->extent}")->all()),
        );
    }

    private function one(FollowRule $row, int $latest, int $me): FollowRuleView
    {
        $rule = $row->rule();
        $proposed = $row->state === FollowRule::PROPOSED;

        return new FollowRuleView(
            $row->id,
            $row->type->code,
            $row->code,
            $rule->title,
            $rule->source,
            $row->version,
            $latest,
            $proposed ? 'watch' : 'clear',
            $proposed ? 'proposed' : 'in force',
            $rule->exceeded === null ? 'found' : 'exceeded',
            ucfirst(FollowWords::when($rule)).'.',
            FollowWords::then($rule),
            $row->object(),
            "{$row->proposer->name}, {$this->clock->local($row->proposed_at)}",
            $row->reason,
            $row->decider === null || $row->decided_at === null
                ? null
                : "{$row->decider->name}, {$this->clock->local($row->decided_at)}",
            $proposed && $row->proposed_by === $me,
            $proposed,
        );
    }

    /** @param Collection<int, FollowRule> $rules */
    private function sentence(Collection $rules, int $waits): string
    {
        $force = $rules->count() - $waits;

        return $force === 0 && $waits === 0
            ? 'No rule says what follows from a finding or an exceeded limit.'
            : Words::count($force, 'rule says', 'rules say').' what follows from a finding or an exceeded limit'
                .($waits === 0 ? '.' : '; '.Words::count($waits, 'waits', 'wait').' for a second person.');
    }
}
