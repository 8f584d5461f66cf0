<?php

declare(strict_types=1);

namespace App\Library\Show;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Fleet\Model\Fleet;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Library\LibraryWords;
use App\Library\Model\CardTemplate;
use App\Library\Model\Manual;
use App\Library\Model\ManualRevision;
use App\Library\Model\Question;
use App\Library\Model\Reread;
use App\Library\Show\View\DiffPiece;
use App\Library\Show\View\ManualRoom;
use App\Library\Show\View\MarkedCard;
use App\Library\Show\View\MarkedTemplate;
use App\Library\Show\View\PassageView;
use App\Library\Show\View\QuestionView;
use App\Library\Show\View\RevisionView;
use App\Now\Directory;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Library\RevisionReach;
use Jorvel\Core\Library\TextDiff;

/** A manual with its revisions, old text beside new, and what must be re-read. */
final readonly class ShowRevisions
{
    public function __construct(private Clock $clock, private Directory $people) {}

    public function manual(string $code, Person $me): ManualRoom
    {
        $manual = Manual::with('revisions.passages')->where('code', $code)->firstOrFail();
        $templates = CardTemplate::where('manual_id', $manual->id)->orderBy('code')->get();
        $templates->each(static fn(CardTemplate $t) => $t->setRelation('manual', $manual));
        $rereads = Reread::with('person')->whereIn('template_id', $templates->modelKeys())
            ->orderBy('id')
            ->get()
            ->keyBy('template_id');
        $marked = $templates->filter(static fn(CardTemplate $t): bool => $t->revision !== $t->revisionInForce());
        $cards = $this->cards($templates, $manual);
        return new ManualRoom(
            $manual->code,
            AircraftType::whereKey($manual->type_id)->value('code'),
            $manual->title,
            $manual->revision,
            LibraryWords::manual($manual->code, $manual->revision, $marked->count(), count($cards)),
            array_values($manual->revisions->map(static fn(ManualRevision $r): RevisionView => new RevisionView(
                $r->revision,
                $r->issued,
                $r->summary,
                $r->passages->count(),
            ))->all()),
            $this->passages($manual),
            array_values($templates->sortBy(
                static fn(CardTemplate $t): int => $marked->contains($t) ? 0 : 1,
            )->map(fn(CardTemplate $t): MarkedTemplate => $this->template($t, $manual, $rereads->get($t->id)))->all()),
            $cards,
            $this->questions($manual),
            array_values(Fleet::whereHas(
                'aircraft',
                static fn(Builder $q) => $q->where('type_id', $manual->type_id),
            )->orderBy('code')->pluck('code')->all()),
            array_keys(array_filter([
                'reread' => $me->can('reread', CardTemplate::class),
                'ask' => $me->can('ask', Manual::class),
            ])),
        );
    }

    /** @return list<QuestionView> about a manual, or one section of it; those without an answer first */
    public function questions(Manual $manual, ?string $section = null): array
    {
        $rows = Question::where('manual_id', $manual->id)->when(
            $section !== null,
            static fn(Builder $q) => $q->where('section', $section),
        )
            ->orderByRaw('answer is not null')->orderByDesc('id')->get();
        $this->people->attach(['asker' => [$rows, 'asked_by'], 'answerer' => [$rows, 'answered_by']]);

        return array_values($rows->map(fn(Question $q): QuestionView => new QuestionView(
            $q->id,
            $manual->code,
            $q->section,
            $q->asker->name,
            $this->clock->local($q->asked_at),
            $q->text,
            $q->answer,
            $q->reference,
            $q->answerer?->name,
            $q->answered_at === null ? null : $this->clock->local($q->answered_at),
        ))->all());
    }

    /** @return list<PassageView> those that the latest revision changed first */
    private function passages(Manual $manual): array
    {
        $now = $manual->revisions->firstWhere('revision', $manual->revision)->passages ?? new Collection;
        $before = $manual->revisions->first(
            static fn(ManualRevision $r): bool => $r->revision < $manual->revision,
        )->passages ?? new Collection;
        $views = [];
        foreach ($now->concat($before->whereNotIn('section', $now->pluck('section'))) as $p) {
            $old = $before->firstWhere('section', $p->section)?->text;
            $new = $now->firstWhere('section', $p->section)?->text;
            $views[] = new PassageView($p->section, $p->title, match (true) {
                $old === $new => 'same', $old === null => 'new', $new === null => 'withdrawn', default => 'changed',
            }, $old ?? '', $new ?? '', self::pieces($old ?? '', $new ?? ''));
        }
        usort(
            $views,
            static fn(PassageView $a, PassageView $b): int
                => [$a->state === 'same' ? 1 : 0, $a->section] <=> [$b->state === 'same' ? 1 : 0, $b->section],
        );

        return $views;
    }

    /** @return list<string> warnings that a template's passage had and has not now, or that a new method drops */
    public static function lost(Manual $manual, CardTemplate $t): array
    {
        $lost = RevisionReach::lost(
            $manual->passage($t->revision, $t->section)->text ?? '',
            $manual->passage($manual->revision, $t->section)->text ?? '',
        );
        foreach ($manual->revisions->where('revision', '>', $t->revision) as $r) {
            $method = $r->methodFor($t);
            if ($method !== null) {
                return [...$lost, ...RevisionReach::lostSteps($t->steps, $method['steps'])];
            }
        }

        return $lost;
    }

    private function template(CardTemplate $t, Manual $manual, ?Reread $reread): MarkedTemplate
    {
        $marked = $t->revision !== $t->revisionInForce();
        $old = $manual->passage($t->revision, $t->section)?->text;
        $new = $manual->passage($manual->revision, $t->section)?->text;
        $proposed = null;
        foreach ($marked ? $manual->revisions->where('revision', '>', $t->revision) : [] as $r) {
            $proposed ??= $r->methodFor($t);
        }

        return new MarkedTemplate(
            $t->id,
            $t->code,
            $t->title,
            $t->section,
            $t->revision,
            $t->method,
            $t->fleets ?? [],
            $marked,
            $t->stays_until !== null,
            $proposed['method'] ?? null,
            $proposed !== null && $t->stays_until === null && $t->of_id === null,
            $proposed === null ? [] : self::steps($t->steps),
            self::steps($proposed['steps'] ?? []),
            $marked ? LibraryWords::passage($old, $new) : null,
            $reread === null
                ? null
                : "{$reread->person->name}, ".$this->clock->local($reread->at).": {$reread->note}",
            $marked && $old !== $new ? self::pieces($old ?? '', $new ?? '') : [],
            $marked ? self::lost($manual, $t) : [],
            $marked ? array_map(
                static fn(array $c): string => "Step {$c['step']}, {$c['title']}, still says {$c['figure']}; "
                    .'the passage no longer does.',
                RevisionReach::contradicted($old ?? '', $new ?? '', $t->steps),
            ) : [],
        );
    }

    /**
     * @param Collection<int, CardTemplate> $templates
     *
     * @return list<MarkedCard>
     */
    private function cards(Collection $templates, Manual $manual): array
    {
        $by = $templates->keyBy('id');

        return array_values(Card::with(['aircraft', 'steps', 'visit'])
            ->whereIn('template_id', $templates->modelKeys())
            ->whereHas('visit', static fn(Builder $q) => $q->whereNot('state', Visit::RELEASED))
            ->orderBy('id')
            ->get()
            ->filter(static fn(Card $c): bool => $c->state !== Card::CLOSED
                && $c->revision !== $by[$c->template_id]->revisionInForce())
            ->map(static fn(Card $c): MarkedCard => new MarkedCard(
                $c->id,
                $c->number,
                $c->aircraft->mark,
                $c->title,
                $c->revision,
                $c->version,
                $c->state->value,
                $by[$c->template_id]->revision === $by[$c->template_id]->revisionInForce(),
                $c->steps->contains(static fn(Step $s): bool => $s->settled()),
            ))
            ->all());
    }

    /**
     * @param list<array<string, mixed>> $steps
     *
     * @return list<string>
     */
    private static function steps(array $steps): array
    {
        return array_map(
            static fn(array $s): string
                => $s['title']
                    .(($s['text'] ?? '') === '' ? '' : (ctype_punct(substr($s['title'], -1)) ? ' ' : ': ').$s['text']),
            $steps,
        );
    }

    /** @return list<DiffPiece> */
    private static function pieces(string $old, string $new): array
    {
        return array_map(
            static fn(array $p): DiffPiece => new DiffPiece($p['kind'], $p['text']),
            TextDiff::of($old, $new),
        );
    }
}
