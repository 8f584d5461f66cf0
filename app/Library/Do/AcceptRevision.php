<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Library\Model\Manual;
use App\Library\Model\Reread;
use App\Library\Show\ShowRevisions;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Do\RemakeCard;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** A card template or an open card is read again after a revision and accepted, by name and with a note. */
final readonly class AcceptRevision
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private CardDesk $desk,
        private RemakeCard $remake,
    ) {}

    /**
     * @param string $outcome `stands`: its steps hold; `new`: the revision's method for every fleet; `both`: the
     *   revision's method for the fleets named, the present one for the others
     * @param list<string> $fleets codes, for `both`
     * @param list<string> $seen warnings that went with the revision, each read and acknowledged
     *
     * @throws Refused when it is current, when the revision proposes no method for it, or a warning that went was not
     *   acknowledged
     */
    public function template(
        Person $by,
        CardTemplate $template,
        string $outcome,
        string $note,
        array $fleets = [],
        array $seen = [],
    ): void {
        DB::transaction(function () use ($by, $template, $outcome, $note, $fleets, $seen): void {
            $template->refresh()->load('manual.revisions.passages');
            $now = $template->manual->revision;
            if ($template->revision === $template->revisionInForce()) {
                throw Refused::because("{$template->code} stands at revision {$template->revision} already.");
            }
            $unseen = array_diff(ShowRevisions::lost($template->manual, $template), $seen);
            if ($unseen !== []) {
                throw Refused::because('A warning went with this revision, and nobody has said that they saw it: '
                    .implode(' · ', $unseen).' Nothing was changed.');
            }
            $from = $template->revision;
            if ($outcome === 'stands') {
                // One of two methods stays at the revision that its fleets' data names.
                $template->update($template->stays_until === null ? ['revision' => $now] : ['stays_until' => $now]);
            } else {
                $proposed = $this->proposed($template, $from);
                $before = $template->replicate(['id']);
                $outcome === 'new'
                    ? $template->update([
                        'revision' => $now,
                        'steps' => $proposed['steps'],
                        'method' => $proposed['method'],
                        'stays_until' => null,
                    ])
                    : $this->both($template, $proposed, $fleets, $now);
                if ($outcome === 'new') {
                    $this->desk->changed($by, $before, $template, "revision {$now}: {$note}");
                }
            }
            Reread::create([
                'template_id' => $template->id,
                'person_id' => $by->id,
                'from_revision' => $from,
                'to_revision' => $now,
                'outcome' => $outcome,
                'note' => $note,
                'at' => (string) $this->clock->now(),
            ]);
            $this->records->write(
                $by,
                'template.reread',
                "template:{$template->id}",
                [
                    'code' => $template->code,
                    'from' => $from,
                    'to' => $now,
                    'outcome' => $outcome,
                    'note' => $note,
                    'fleets' => $fleets,
                    ...($seen === [] ? [] : ['warnings gone' => $seen]),
                ],
            );
        });
    }

    /**
     * Several templates, and open cards of them, at once: under one name and one note, that their steps stand.
     *
     * @param list<int> $templates ids
     * @param array<array-key, int> $cards the version that was seen, by id
     * @param list<string> $seen as for one template
     *
     * @throws Refused for the first that cannot be; then none is
     */
    public function many(Person $by, Manual $manual, array $templates, array $cards, string $note, array $seen): void
    {
        DB::transaction(function () use ($by, $manual, $templates, $cards, $note, $seen): void {
            $of = CardTemplate::where('manual_id', $manual->id)->whereIn('id', $templates);
            foreach ($of->orderBy('code')->get() as $t) {
                $this->template($by, $t, 'stands', $note, seen: $seen);
            }
            foreach (Card::whereIn('id', array_keys($cards))->orderBy('id')->get() as $card) {
                $this->card($by, $card, (int) $cards[$card->id], 'stands', $note);
            }
        });
    }

    /**
     * @param string $outcome `stands`: its steps hold, or held when they were worked; `new`: nothing is done yet, and
     *   its steps are made anew
     *
     * @throws Refused while its template is not re-read, or steps are done that would be lost
     */
    public function card(Person $by, Card $card, int $version, string $outcome, string $note): void
    {
        DB::transaction(function () use ($by, $card, $version, $outcome, $note): void {
            $card->refresh()->load(['template.manual', 'visit', 'steps']);
            $card->requireVersion($version);
            if ($card->visit->state === Visit::RELEASED) {
                throw Refused::because('The visit is released; its cards stand as they are.');
            }
            $template = $card->template;
            if ($card->revisionCurrent()) {
                throw Refused::because("Card {$card->number} stands at the revision in force already.");
            }
            if ($template->revision !== $template->revisionInForce()) {
                throw Refused::because(
                    "The card template {$template->code} is not re-read yet. That comes first, in Library.",
                );
            }
            $from = $card->revision;
            if ($outcome === 'new') {
                ($this->remake)($card, $template);
            }
            $card->update(['revision' => $template->revision, 'version' => $card->version + 1]);
            Reread::create([
                'card_id' => $card->id,
                'person_id' => $by->id,
                'from_revision' => $from,
                'to_revision' => $card->revision,
                'outcome' => $outcome,
                'note' => $note,
                'at' => (string) $this->clock->now(),
            ]);
            $this->records->write(
                $by,
                'card.reread',
                "card:{$card->id}",
                [
                    'number' => $card->number,
                    'from' => $from,
                    'to' => $card->revision,
                    'outcome' => $outcome,
                    'note' => $note,
                ],
            );
        });
    }

    /**
     * @return array{of: string, method: string, steps: list<array<string, mixed>>} of the latest revision since that
     *   has one
     */
    private function proposed(CardTemplate $template, int $since): array
    {
        foreach ($template->manual->revisions as $revision) {
            $method = $revision->revision > $since ? $revision->methodFor($template) : null;
            if ($method !== null) {
                return $method;
            }
        }
        throw Refused::because(
            "The revision proposes no method for {$template->code}. Say that its steps stand, or bring in a "
                .'revision with the method.',
        );
    }

    /**
     * @param array{of: string, method: string, steps: list<array<string, mixed>>} $proposed
     * @param list<string> $fleets
     */
    private function both(CardTemplate $template, array $proposed, array $fleets, int $now): void
    {
        if ($template->stays_until !== null || $template->of_id !== null) {
            throw Refused::because(
                "{$template->code} is one of two methods already. Say that it stands, or take the new method for "
                    .'its fleets; nothing was changed.',
            );
        }
        if ($fleets === []) {
            throw Refused::because('Say which fleets work by the new method; the others keep the present one.');
        }
        $n = CardTemplate::where('of_id', $template->id)->count() + 2;
        $other = CardTemplate::create([
            ...$template->only([
                'type_id',
                'manual_id',
                'title',
                'chapter',
                'section',
                'skill',
                'hours',
                'zone',
                'independent_inspection',
                'stage',
                'makes',
                'needs',
                'positions',
                'configuration',
                'parts',
                'systems',
                'covers',
            ]),
            'code' => "{$template->code}/{$n}", 'revision' => $now, 'steps' => $proposed['steps'],
            'method' => $proposed['method'], 'fleets' => $fleets, 'of_id' => $template->id,
        ]);
        // The present method stays at its revision, as the approved data of the other fleets says.
        $template->update(['stays_until' => $now]);
        // What is open on those fleets was written from the old method, and waits to be read again against the new one.
        Card::where('template_id', $template->id)->whereHas(
            'visit',
            static fn(Builder $q) => $q->whereNot('state', Visit::RELEASED),
        )
            ->whereHas('aircraft.fleet', static fn(Builder $q) => $q->whereIn('code', $fleets))
            ->update(['template_id' => $other->id]);
    }
}
