<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Do\Exceedances;
use App\Floor\Do\NewExceedance;
use App\Floor\Do\RecorderFile;
use App\Floor\Model\Card;
use App\Floor\Model\Exceedance;
use App\Floor\Model\Finding;
use App\Floor\Show\View\AircraftPick;
use App\Floor\Show\View\ExceedancesView;
use App\Floor\Show\View\ExceedanceView;
use App\Floor\Show\View\RecorderPreview;
use App\Floor\Show\View\RulePick;
use App\Library\FollowWords;
use App\Library\Model\FollowRule;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Library\ExceededRow;

/** Limits that were exceeded, with what is done about each. */
final readonly class ShowExceedances
{
    /** Those that are listed. */
    private const LISTED = 200;

    public function __construct(private Clock $clock, private Exceedances $exceedances) {}

    public function all(Person $me): ExceedancesView
    {
        $rows = Exceedance::with('craft', 'rule', 'person', 'finding', 'step.card')->orderByDesc('happened_at')
            ->orderByDesc('id')->limit(self::LISTED)->get();
        $limits = FollowRule::with('type')->where('state', FollowRule::IN_FORCE)->orderBy('code')->get()
            ->map(self::limit(...))->filter();

        return new ExceedancesView(
            $this->sentence($rows),
            array_values($rows->map(fn(Exceedance $e): ExceedanceView => $this->one($e, $me))->all()),
            array_values($limits->all()),
            array_values(Aircraft::with('type')->orderBy('mark')->get()
                ->map(static fn(Aircraft $a): AircraftPick => new AircraftPick($a->mark, $a->type->code))->all()),
            $me->can('raise', Card::class),
            $this->clock->time($this->clock->now()),
            (string) $this->clock->today(),
        );
    }

    /** What it would be recorded as; nothing is written. */
    public function preview(Aircraft $aircraft, NewExceedance $new): RecorderPreview
    {
        return new RecorderPreview($this->line($aircraft, $new), []);
    }

    /** What a file would record; nothing is written. */
    public function file(RecorderFile $file): RecorderPreview
    {
        return new RecorderPreview(
            Words::count(count($file->rows), 'exceeded limit').' would be recorded.',
            array_map(fn(array $r): string => "{$r['aircraft']->mark}, {$r['new']->position}, "
                .$this->clock->local($r['new']->happened).': '.$this->line($r['aircraft'], $r['new']), $file->rows),
        );
    }

    private function line(Aircraft $aircraft, NewExceedance $new): string
    {
        [, $table, $row] = $this->exceedances->ask($aircraft, $new);

        return ucfirst($table->quantity).' '.FollowWords::exceeded($table, $new->peak, $new->seconds).": {$row->title}"
            .self::opens($row);
    }

    private static function opens(ExceededRow $row): string
    {
        return $row->severity === null
            ? '. It is recorded and no more.'
            : ". A {$row->severity} finding is raised, and its card is opened.";
    }

    private static function limit(FollowRule $row): ?RulePick
    {
        $rule = $row->rule();
        $table = $rule->exceeded;

        return $table === null ? null : new RulePick(
            $row->id,
            $row->code,
            $rule->title,
            $row->type->code,
            FollowWords::limit($table),
            $table->unit->label(),
            $table->positions,
        );
    }

    private function one(Exceedance $e, Person $me): ExceedanceView
    {
        $table = $e->rule->rule()->exceeded;
        [$state, $word] = match (true) {
            $e->mistake !== null => ['waiting', 'was none'],
            $e->finding === null => ['clear', 'recorded'],
            $e->finding->state === Finding::OPEN => ['stop', 'to be inspected'],
            $e->finding->state === Finding::DEFERRED => ['watch', 'deferred'],
            default => ['clear', 'inspected'],
        };
        $from = match ($e->source) {
            'card' => $e->step === null ? 'at a card' : "card {$e->step->card->number}, step {$e->step->no}",
            'run' => 'at a run', 'recorder' => 'from the recorder', default => 'as the crew reports',
        };

        return new ExceedanceView(
            $e->id,
            $e->number,
            $e->craft->mark,
            $e->position,
            $table->quantity ?? $e->rule->code,
            $table === null ? '' : FollowWords::limit($table),
            $table === null ? '' : FollowWords::exceeded($table, $e->peak, $e->seconds),
            $e->row,
            $state,
            $word,
            $this->clock->local($e->happened_at),
            "{$e->person->name}, {$from}",
            $e->mistake ?? $e->note,
            "{$e->rule->code}, {$e->rule->body['source']}",
            $e->finding?->number,
            $e->finding_id,
            $e->mistake === null && $e->finding === null && $me->can('raise', Card::class),
        );
    }

    /** @param Collection<int, Exceedance> $rows */
    private function sentence(Collection $rows): string
    {
        $open = $rows->filter(static fn(Exceedance $e): bool => $e->finding?->state === Finding::OPEN);

        return match (true) {
            $rows->isEmpty() => 'No limit is known to have been exceeded.',
            $open->isEmpty() => 'Every limit that was exceeded is inspected or only recorded.',
            default => Words::count($open->count(), 'exceeded limit is', 'exceeded limits are')
                .' still to be inspected: '.$open->map(static fn(Exceedance $e): string => $e->craft->mark)->unique()
                    ->sort()->implode(', ').'.',
        };
    }
}
