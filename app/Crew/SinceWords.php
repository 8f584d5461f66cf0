<?php

declare(strict_types=1);

namespace App\Crew;

use Jorvel\Core\Shared\Day;

/** What the record keeps, said to somebody who was away: in which room, and what was done. */
final class SinceWords
{
    /** Room, what is said of one, and whether each is told by itself or only how many there were. */
    public const SAID = [
        'visit.made' => ['Visits', 'planned', true], 'visit.moved' => ['Visits', 'moved', true],
        'visit.changed' => ['Visits', 'changed', true], 'visit.cancelled' => ['Visits', 'cancelled', true],
        'visit.filled' => ['Visits', 'takes more items', true], 'visit.taken_out' => ['Visits', 'has less in it', true],
        'visit.cards_moved' => ['Visits', 'gave cards to another', true],
        'visit.begun_early' => ['Visits', 'begun early', true], 'aircraft.released' => ['Release', 'released', true],
        'season.kept' => ['Visits', 'a season kept', false], 'visit.planned' => ['Visits', 'plan made anew', false],
        'bay.closed' => ['Visits', 'closed', true], 'bay.opened' => ['Visits', 'open again', true],
        'slot.opened' => ['Visits', 'free stretch opened', true],
        'slot.taken_away' => ['Visits', 'free stretch gone', true],
        'card.moved' => ['Visits', 'card moved on a board', false], 'window.set' => ['Visits', 'window judged', false],
        'flying.entered' => ['Fleet', 'flying entered', false],
        'flying.corrected' => ['Fleet', 'flying corrected', true],
        'component.moved' => ['Fleet', 'component moved', true], 'gauge.read' => ['Fleet', 'gauge read', false],
        'plan.visit' => ['Fleet', 'visit moved in What if', true], 'plan.base' => ['Fleet', 'another base', true],
        'plan.use' => ['Fleet', 'another use', true], 'plan.sector_cancelled' => ['Fleet', 'flight cancelled', true],
        'plan.sector_restored' => ['Fleet', 'flight planned again', true],
        'card.made' => ['Floor', 'card made', false], 'card.signed' => ['Floor', 'card signed', false],
        'card.inspected' => ['Floor', 'card inspected', false], 'card.handed_over' => ['Floor', 'handed over', true],
        'finding.raised' => ['Floor', 'finding raised', true], 'finding.fixed' => ['Floor', 'finding fixed', true],
        'finding.follows' => ['Floor', 'looks opened that follow from a finding', true],
        'limit.exceeded' => ['Floor', 'a limit exceeded', true], 'damage.entered' => ['Floor', 'damage entered', true],
        'step.done' => ['Floor', 'step done', false], 'line.signed' => ['Floor', 'signed good on the line', false],
        'reading.taken' => ['Bench', 'reading taken', false], 'test.begun' => ['Bench', 'test begun', false],
        'test.ended' => ['Bench', 'test ended', true], 'test.broken_off' => ['Bench', 'test broken off', true],
        'rig.as_left' => ['Bench', 'rigging read as left', false],
        'trend.followed' => ['Bench', 'trend followed', true],
        'finding.deferred' => ['Deferrals', 'deferred', true], 'deferral.begun' => ['Deferrals', 'begun', true],
        'deferral.planned' => ['Deferrals', 'to be closed', true], 'deferral.closed' => ['Deferrals', 'closed', true],
        'deferral.extended' => ['Deferrals', 'extended', true],
        'deferral.taken_back' => ['Deferrals', 'taken back', true],
        'report.entered' => ['Deferrals', 'crew report', true],
        'report.sorted' => ['Deferrals', 'report sorted', false],
        'tool.recalled' => ['Stores', 'recalled', true], 'tool.out_of_use' => ['Stores', 'out of use', true],
        'tool.out' => ['Stores', 'tool taken out', false], 'tool.in' => ['Stores', 'tool brought back', false],
        'part.ordered' => ['Stores', 'part ordered', false], 'part.moved' => ['Stores', 'part moved', false],
        'template.in_force' => ['Library', 'card in force', true],
        'tree.proposed' => ['Library', 'fault tree proposed', true],
        'question.asked' => ['Library', 'question asked', true],
        'question.answered' => ['Library', 'question answered', true],
        'person.entered' => ['Crew', 'entered', true], 'person.days_set' => ['Crew', 'days changed', true],
        'person.withdrawn' => ['Crew', 'qualification withdrawn', true], 'crew.kept' => ['Crew', 'shift kept', false],
        'card.assigned' => ['Crew', 'put on a card', false],
    ];

    /** @return array{string, string, bool}|null room, words, whether told by itself; null for what nobody misses */
    public static function of(string $what): ?array
    {
        return self::SAID[$what] ?? null;
    }

    /**
     * What it was about, by what its record says.
     *
     * @param array<string, mixed> $data
     * @param callable(Day): string $date
     */
    public static function about(array $data, callable $date): string
    {
        $text = static fn(string $key): ?string => is_string($data[$key] ?? null) && $data[$key] !== ''
            ? mb_strimwidth($data[$key], 0, 80, '…')
            : null;
        $days = isset($data['start'], $data['end']) && is_string($data['start']) && is_string($data['end'])
            ? $date(Day::parse(substr($data['start'], 0, 10))).' to '.$date(Day::parse(substr($data['end'], 0, 10)))
            : null;

        return implode(', ', array_unique(array_filter([
            $text('aircraft') ?? $text('mark'), $text('number'), $text('title') ?? $text('text') ?? $text('component'),
            $text('bay'), $days, $text('why') ?? $text('reason') ?? $text('said'),
        ])));
    }

    /** Where it can be looked at. */
    public static function link(string $subject): ?string
    {
        [$kind, $id] = explode(':', $subject, 2) + [1 => ''];

        return match ($kind) {
            'visit' => "/visits/{$id}", 'card' => "/floor/{$id}", 'finding' => "/floor/findings/{$id}",
            'aircraft' => null, 'person' => "/crew/people/{$id}", default => null,
        };
    }
}
