<?php

declare(strict_types=1);

namespace App\Release\Show;

use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;

/**
 * Whether the rows that count still say what was signed: the records cannot be changed unseen, and each signature,
 * inspection, step done, reading, finding and certificate in them is compared with its row.
 */
final class AgainstRecords
{
    /** Seconds by which a row may be older than its record: earlier versions looked at the clock for each. */
    private const APART = 5;

    /** @return list<string> every difference, the oldest record first */
    public function differences(): array
    {
        return [
            ...$this->signatures(), ...$this->steps(), ...$this->readings(), ...$this->findings(),
            ...$this->certificates(),
        ];
    }

    /** @return list<string> no door takes a signature back, so that each must still stand */
    private function signatures(): array
    {
        $found = [];
        foreach ([
            'card.signed' => ['signed_by', 'signed_at', ['signed', 'closed']],
            'card.inspected' => ['inspected_by', 'inspected_at', ['closed']],
        ] as $what => [$by, $at, $states]) {
            $rows = DB::table('records')->join('cards', DB::raw("'card:' || cards.id"), '=', 'records.subject')
                ->leftJoin('people', 'people.id', '=', "cards.{$by}")
                ->where('what', $what)->orderBy('records.id')->lazy(500);
            foreach ($rows as $r) {
                if (
                    $r->who !== "{$r->name} ({$r->stamp})"
                    || ! self::same($r->{$at}, $r->at)
                    || ! in_array($r->state, $states, true)
                ) {
                    $found[] = "Card {$r->number} is not as it was: {$r->who} "
                        .($what === 'card.signed' ? 'signed' : 'inspected')." it at {$r->at}.";
                }
            }
        }

        return $found;
    }

    /**
     * @return list<string> steps that stand as done in the records, until one is taken back or its card is read anew
     */
    private function steps(): array
    {
        $done = [];
        $records = DB::table('records')->whereIn('what', [
            'step.done', 'step.inspected', 'step.not_applicable', 'step.taken_back', 'step.again', 'card.reread',
        ])->orderBy('id')->lazy(500);
        foreach ($records as $r) {
            $data = json_decode($r->data, true);
            if ($r->what === 'card.reread') {
                if ($data['outcome'] === 'new') {
                    unset($done[$r->subject]);
                }

                continue;
            }
            foreach ([$data['step'], ...($data['fell'] ?? [])] as $no) {
                unset($done[$r->subject][$no]);
            }
            if ($r->what !== 'step.taken_back' && $r->what !== 'step.again') {
                $state = $r->what === 'step.not_applicable' ? 'not_applicable' : 'done';
                $done[$r->subject][$data['step']] = [$r->who, $r->at, $state];
            }
        }
        $found = [];
        foreach (array_chunk($done, 200, true) as $some) {
            $rows = DB::table('steps')->join('cards', 'cards.id', '=', 'steps.card_id')
                ->leftJoin('people', 'people.id', '=', 'steps.done_by')
                ->whereIn('cards.id', array_map(static fn(string $s): int => (int) substr($s, 5), array_keys($some)))
                ->get(['cards.id', 'cards.number', 'no', 'steps.state', 'done_at', 'name', 'stamp'])
                ->keyBy(static fn(\stdClass $s): string => "card:{$s->id}/{$s->no}");
            foreach ($some as $card => $steps) {
                foreach ($steps as $no => [$who, $at, $state]) {
                    $row = $rows->get("{$card}/{$no}");
                    if ($row?->state !== $state || $who !== "{$row->name} ({$row->stamp})"
                        || ! self::same($row->done_at, $at)) {
                        $found[] = "Step {$no} of ".($row === null ? $card : "card {$row->number}")
                            ." is not as it was: {$who} did it at {$at}.";
                    }
                }
            }
        }

        return $found;
    }

    /** @return list<string> */
    private function findings(): array
    {
        $rows = DB::table('records')->leftJoin('findings', DB::raw("'finding:' || findings.id"), '=', 'records.subject')
            ->where('what', 'finding.raised')->orderBy('records.id')
            ->lazy(500);
        $found = [];
        foreach ($rows as $r) {
            $said = array_intersect_key(
                json_decode($r->data, true),
                array_flip(['number', 'place', 'extent', 'severity']),
            );
            if (array_diff_assoc($said, (array) $r) !== []) {
                $found[] = "Finding {$said['number']} is not as {$r->who} raised it at {$r->at}.";
            }
        }

        return $found;
    }

    /** @return list<string> */
    private function readings(): array
    {
        $taken = DB::table('records')->where('what', 'reading.taken')
            ->selectRaw(
                "id, at, subject, json_extract(data, '$.point') as point, json_extract(data, '$.value') as value, "
                    ."json_extract(data, '$.phase') as phase, json_extract(data, '$.verdict') as verdict",
            );
        $missing = DB::query()->fromSub($taken, 'taken')->whereNotExists(static fn($q) => $q->from('readings')
            ->whereRaw("'card:' || readings.card_id = taken.subject")
            ->whereColumn('readings.point', 'taken.point')
            ->whereRaw('abs(unixepoch(readings.at) - unixepoch(taken.at)) <= '.self::APART)
            ->whereColumn('readings.kind', 'taken.phase')
            ->whereColumn('readings.verdict', 'taken.verdict')
            ->whereRaw('abs(readings.value - taken.value) < 1e-9'));

        return array_values($missing->orderBy('id')->get()->map(
            static fn(\stdClass $r): string
                => "A reading is not as it was taken: {$r->point} of {$r->subject}, {$r->value}, at {$r->at}.",
        )->all());
    }

    /** @return list<string> */
    private function certificates(): array
    {
        $found = [];
        $signed = DB::table('records')->where('what', 'aircraft.released')->orderBy('id')->get(['subject', 'data'])
            ->mapWithKeys(
                static fn(\stdClass $r): array
                    => [json_decode($r->data, true)['certificate'] => json_decode($r->data, true)['sha256']],
            );
        // As it stands in its row, byte for byte.
        $kept = DB::table('releases')->whereIn('number', $signed->keys())->pluck('said', 'number');
        foreach ($signed as $number => $hash) {
            if (hash('sha256', (string) $kept->get($number)) !== $hash) {
                $found[] = "Certificate {$number} is not as it was signed.";
            }
        }

        return $found;
    }

    private static function same(?string $row, string $record): bool
    {
        return $row !== null && abs(Instant::parse($row)->epoch() - Instant::parse($record)->epoch()) <= self::APART;
    }
}
