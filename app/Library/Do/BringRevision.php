<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Library\Model\ManualRevision;
use App\Library\Model\Passage;
use App\Library\Show\View\ChangeView;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;

/**
 * A new revision of a manual comes into force: every template and open card that was written from a passage which it
 * changes waits to be re-read; what was written from another passage goes on.
 */
final class BringRevision
{
    public function compare(RevisionFile $file): Compared
    {
        $marks = [];
        $touched = $file->touched();
        foreach ($touched as $t) {
            $marks[] = new ChangeView($t->code, $t->title, "revision {$t->revision}", 'to be re-read');
        }
        $cards = Card::with('aircraft')->whereIn('template_id', $touched->pluck('id'))
            ->whereIn('state', [Card::OPEN, Card::IN_WORK])
            ->whereHas('visit', static fn(Builder $q) => $q->whereNot('state', Visit::RELEASED))
            ->orderBy('id')
            ->get();
        foreach ($cards as $c) {
            $marks[] = new ChangeView(
                "{$c->number} {$c->aircraft->mark}",
                $c->title,
                "revision {$c->revision}",
                'to be re-read',
            );
        }

        return new Compared($file->changes(), $marks);
    }

    /** Passages that the file does not name go on as they were. */
    public function apply(RevisionFile $file): void
    {
        $manual = $file->manual;
        $revision = ManualRevision::create([
            'manual_id' => $manual->id,
            'revision' => $file->revision,
            'issued' => $file->issued,
            'summary' => $file->summary,
            'methods' => $file->methods,
        ]);
        $named = array_column($file->passages, null, 'section');
        $rows = [];
        foreach ($manual->revisions->firstWhere('revision', $manual->revision)->passages ?? [] as $p) {
            if (! isset($named[$p->section])) {
                $rows[] = [
                    'revision_id' => $revision->id,
                    'section' => $p->section,
                    'title' => $p->title,
                    'text' => $p->text,
                ];
            }
        }
        foreach (array_filter($file->passages, static fn(array $p): bool => $p['text'] !== '') as $p) {
            $rows[] = ['revision_id' => $revision->id, ...$p];
        }
        foreach (array_chunk($rows, 200) as $some) {
            Passage::insert($some);
        }
        $was = $manual->revision;
        $same = $file->templates->diff($file->touched());
        $same->each(static fn(CardTemplate $t) => $t->setRelation('manual', $manual));
        // What was to be re-read before is so still.
        $current = $same->filter(static fn(CardTemplate $t): bool => $t->revision === $t->revisionInForce());
        CardTemplate::whereIn('id', $current->whereNull('stays_until')->pluck('id'))
            ->update(['unchanged_until' => $file->revision]);
        CardTemplate::whereIn('id', $current->where('stays_until', $was)->pluck('id'))
            ->update(['stays_until' => $file->revision]);
        $manual->update(['revision' => $file->revision]);
    }
}
