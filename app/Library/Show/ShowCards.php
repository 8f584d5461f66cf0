<?php

declare(strict_types=1);

namespace App\Library\Show;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Fleet\Model\ComponentTenure;
use App\Library\Do\TemplateFile;
use App\Library\LibraryWords;
use App\Library\Model\CardTemplate;
use App\Library\Model\CardVersion;
use App\Library\Model\FaultTree;
use App\Library\Model\Figure;
use App\Library\Model\Lesson;
use App\Library\Model\Manual;
use App\Library\Model\Panel;
use App\Library\Model\Zone;
use App\Library\Show\View\CardChange;
use App\Library\Show\View\CardChoices;
use App\Library\Show\View\CardRoom;
use App\Library\Show\View\LessonView;
use App\Library\Show\View\VersionView;
use App\Shared\Clock;
use App\Stores\Model\Part;
use App\Stores\Model\Tool;
use Illuminate\Support\Collection;
use Jorvel\Core\Floor\DisturbedHow;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Library\CardState;
use Jorvel\Core\Library\Differences;
use Jorvel\Core\Shared\Unit;

/** One card template: its text in force, its draft, and every version before. */
final readonly class ShowCards
{
    public function __construct(private Clock $clock) {}

    public function one(string $typeCode, string $code, Person $me): CardRoom
    {
        $type = AircraftType::where('code', $typeCode)->firstOrFail();
        $template = CardTemplate::with('manual')->where(['type_id' => $type->id, 'code' => $code])->first();
        $versions = CardVersion::with(['checker', 'forcer'])->where(['type_id' => $type->id, 'code' => $code])
            ->orderByDesc('no')->get();
        if ($template === null && $versions->isEmpty()) {
            abort(404);
        }
        $draft = $versions->first(static fn(CardVersion $v): bool => $v->state->open());
        $writes = $me->can('write', CardTemplate::class);

        return new CardRoom(
            $type->code,
            $code,
            (string) ($draft->body['title'] ?? $template?->title),
            $this->sentence($code, $template, $draft),
            $template === null ? null : (object) (array) TemplateFile::asObject(TemplateFile::body($template)),
            $template?->version,
            $draft === null ? null : (object) (array) TemplateFile::asObject($draft->body),
            $draft?->id,
            $draft?->version,
            $draft?->state->value,
            $draft->note ?? '',
            $this->versions($versions),
            array_keys(array_filter([
                'write' => $writes,
                'check' => $writes && $draft?->state === CardState::Draft && ! in_array($me->id, $draft->writers, true),
                'force' => $draft?->state === CardState::Checked && $me->can('force', CardTemplate::class),
            ])),
            $template === null ? [] : array_values(Lesson::with('proposer', 'decider')
                ->where('template_id', $template->id)
                ->orderByRaw("state = 'proposed' desc")->orderByDesc('id')->get()
                ->map(fn(Lesson $l): LessonView => LessonView::of($l, $this->clock, $me->id))->all()),
            $this->choices($type),
        );
    }

    /** @return list<CardChange> where two versions differ, in words */
    public function changes(string $typeCode, string $code, int $from, int $to): array
    {
        $type = AircraftType::where('code', $typeCode)->firstOrFail();
        $bodies = CardVersion::where(['type_id' => $type->id, 'code' => $code])->whereIn('no', [$from, $to])
            ->get()->keyBy('no');
        $old = $bodies->get($from)?->body;
        $new = $bodies->get($to)?->body;
        if ($old === null || $new === null) {
            abort(404);
        }

        return array_map(static fn(array $d): CardChange => new CardChange(
            str_replace('_', ' ', $d['at']),
            LibraryWords::value($d['was']),
            LibraryWords::value($d['is']),
            LibraryWords::warns($d['was']) && ! LibraryWords::warns($d['is']),
        ), Differences::between($old, $new));
    }

    private function sentence(string $code, ?CardTemplate $template, ?CardVersion $draft): string
    {
        $is = $template === null
            ? "{$code} is not in force yet"
            : "{$code} is in force as version {$template->version}";

        return match ($draft?->state) {
            null => "{$is}.",
            CardState::Draft => "{$is}; version {$draft->no} is being written.",
            default => "{$is}; version {$draft->no} is checked, and waits to come in force.",
        };
    }

    /**
     * @param Collection<int, CardVersion> $versions
     *
     * @return list<VersionView>
     */
    private function versions(Collection $versions): array
    {
        $names = Person::whereIn('id', $versions->flatMap(static fn(CardVersion $v): array => $v->writers)->unique())
            ->pluck('name', 'id');

        return array_values($versions->map(fn(CardVersion $v): VersionView => new VersionView(
            $v->no,
            LibraryWords::state($v->state),
            $v->note,
            implode(', ', array_map(static fn(int $id): string => $names[$id] ?? '', $v->writers)),
            $this->clock->local($v->written_at),
            $v->checker === null || $v->checked_at === null
                ? null
                : "{$v->checker->name} ({$v->checker->stamp}), ".$this->clock->local($v->checked_at),
            $v->forcer === null || $v->forced_at === null
                ? null
                : "{$v->forcer->name} ({$v->forcer->stamp}), ".$this->clock->local($v->forced_at),
            count($v->body['steps'] ?? []),
        ))->all());
    }

    public function choices(AircraftType $type): CardChoices
    {
        $templates = CardTemplate::where('type_id', $type->id)->orderBy('code')->get(['code', 'title', 'skill']);

        $fitted = ComponentTenure::with('component')->whereRelation('craft', 'type_id', $type->id)->get();

        return new CardChoices(
            array_values(Manual::where('type_id', $type->id)->orderBy('code')->pluck('code')->all()),
            (int) Manual::where('type_id', $type->id)->orderBy('code')->value('revision'),
            array_values(Zone::where('type_id', $type->id)->orderBy('name')->pluck('name')
                ->push('whole aircraft', 'outside')->unique()->all()),
            array_values($templates->pluck('skill')->unique()->sort()->all()),
            array_values(Tool::distinct()->orderBy('kind')->pluck('kind')->all()),
            array_values(Part::orderBy('number')->get()->map(
                static fn(Part $p): string => "{$p->number} {$p->title}",
            )->all()),
            array_values(Panel::where('type_id', $type->id)->orderBy('code')->pluck('code')->all()),
            array_values(array_unique(array_merge(...array_values($type->systems ?? []) ?: [[]]))),
            array_values($templates->map(static fn(CardTemplate $t): string => "{$t->code} {$t->title}")->all()),
            array_column(Unit::cases(), 'value'),
            array_column(Proof::cases(), 'value'),
            array_values(array_diff(array_column(DisturbedHow::cases(), 'value'), [DisturbedHow::Redone->value])),
            array_values($fitted->map(static fn(ComponentTenure $t): string => $t->component->kind)
                ->unique()->sort()->all()),
            array_values($fitted->pluck('position')->unique()->sort()->all()),
            array_values(Part::whereNotNull('specification')->distinct()->orderBy('specification')
                ->pluck('specification')->all()),
            array_map(strval(...), array_keys(Figure::latest($type->id))),
            array_values(FaultTree::latest($type->id)->pluck('code')->all()),
        );
    }
}
