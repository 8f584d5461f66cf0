<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\Webhook;
use App\Fleet\Show\ShowDueList;
use App\Fleet\Show\View\DueLine;
use App\Floor\Model\Finding;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Words;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * Finds what somebody is to be told of: what was recorded since, and what comes near with the days. Each is told once;
 * what went and comes near again is told again. Controllers see it under their top line, webhooks are sent it.
 */
final readonly class Remind
{
    /** Days before a deferral runs out, and before an item falls due, at which it is told. */
    public const DAYS = 3;

    public const DUE_DAYS = 7;

    /** At a time; the rest comes with the next round. */
    private const RECORDS = 500;

    public function __construct(private Clock $clock, private Notices $notices, private ShowDueList $due) {}

    /** @return int how many things are newly near */
    public function __invoke(): int
    {
        $near = $this->near();

        return DB::transaction(function () use ($near): int {
            $now = $this->clock->now();
            $hooks = Webhook::whereNull('revoked_at')->orderBy('id')->get();
            foreach ($hooks as $hook) {
                $this->recorded($hook, $now);
            }
            $told = DB::table('reminders')->pluck('key')->flip();
            $new = array_diff_key($near, $told->all());
            DB::table('reminders')->whereIn('key', $told->diffKeys($near)->keys())->delete();
            foreach ($new as $key => [$event, $what]) {
                DB::table('reminders')->insert(['key' => $key, 'told_at' => (string) $now]);
                foreach ($hooks as $hook) {
                    if (in_array($event, $hook->events, true)) {
                        Told::one($hook, "{$key}@{$now}", $event, $what, $now);
                    }
                }
            }
            $this->controllers($new);

            return count($new);
        });
    }

    /** What was recorded since the last round. */
    private function recorded(Webhook $hook, Instant $now): void
    {
        $records = DB::table('records')->where('id', '>', $hook->read)->orderBy('id')->limit(self::RECORDS)
            ->get(['id', 'at', 'who', 'what', 'subject', 'data']);
        foreach ($records as $r) {
            if (in_array($r->what, $hook->events, true)) {
                $data = (array) json_decode($r->data, true, 32, JSON_THROW_ON_ERROR);
                [$said, $link] = $this->said($r->what, $r->subject, $data);
                Told::one($hook, "record:{$r->id}", $r->what, [
                    'said' => $said, 'link' => $link, 'who' => $r->who, 'subject' => $r->subject, 'recorded' => $r->at,
                ], $now);
            }
        }
        if ($records->isNotEmpty()) {
            $hook->update(['read' => $records->max('id')]);
        }
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return array{string, string} in words, and where it is seen
     */
    private function said(string $what, string $subject, array $data): array
    {
        $id = (int) explode(':', $subject)[1];
        if ($what === 'aircraft.released') {
            $visit = Visit::with('aircraft')->find($id);

            return $visit === null
                ? self::gone($what, $subject) : ["{$visit->aircraft->mark} is released after {$visit->title}.",
                    "/visits/{$id}"];
        }
        $finding = Finding::with('aircraft')->find($id);
        if ($finding === null) {
            return self::gone($what, $subject);
        }
        $mark = $finding->aircraft->mark;
        if ($what === 'finding.raised') {
            return ["{$finding->number} is raised on {$mark}: {$finding->place}, {$finding->extent}", "/fleet/{$mark}"];
        }
        $deferral = Deferral::with('listedItem')->where('finding_id', $id)->latest('id')->first();

        return [
            "{$finding->number} on {$mark}: {$data['days']} days more are asked for "
                .($deferral === null ? 'what was carried' : $deferral->listedItem->title).', '
                ."because {$data['reason']}",
            $deferral === null ? "/floor/findings/{$id}" : "/deferrals/{$deferral->id}",
        ];
    }

    /** @return array{string, string} what was taken back since is told all the same */
    private static function gone(string $what, string $subject): array
    {
        return ["{$what}: {$subject}, which is there no more", '/fleet'];
    }

    /**
     * @return array<string, array{string, array{said: string, link: string, last: string}}> by key: event and message
     */
    private function near(): array
    {
        $near = [];
        $lines = $this->due->within(max(self::DAYS, self::DUE_DAYS))->rows;
        foreach ($lines as $line) {
            [$kind, $id] = [...explode(':', $line->key, 2), ''];
            if ($kind === 'deferral') {
                if ($line->days <= self::DAYS) {
                    $near["expiring:{$id}"] = [Webhook::EXPIRING, $this->line($line, 'runs out', "/deferrals/{$id}")];
                }
            } elseif ($line->visit === null) {
                $near["due:{$line->mark}:{$line->key}"] = [Webhook::DUE,
                    $this->line($line, 'falls due', "/fleet/{$line->mark}")];
            }
        }

        return $near;
    }

    /** @return array{said: string, link: string, last: string} */
    private function line(DueLine $line, string $does, string $link): array
    {
        return [
            'said' => "{$line->mark}: {$line->title} {$does} {$this->clock->words(Day::parse($line->date))}, "
                ."{$line->remaining} left",
            'link' => $link,
            'last' => $line->date,
        ];
    }

    /**
     * In one line: each deferral by name, and how much falls due, since the due list has it all.
     *
     * @param array<string, array{string, array{said: string, link: string, last: string}}> $new
     */
    private function controllers(array $new): void
    {
        $of = static fn(string $event): array => array_values(
            array_filter($new, static fn(array $n): bool => $n[0] === $event),
        );
        $expiring = $of(Webhook::EXPIRING);
        $due = count($of(Webhook::DUE));
        $says = array_map(static fn(array $n): string => $n[1]['said'], $expiring);
        if ($due > 0) {
            $says[] = Words::count($due, 'item').($due === 1 ? ' falls' : ' fall').' due within '.self::DUE_DAYS
                .' days and '.($due === 1 ? 'is' : 'are').' in no visit';
        }
        if ($says === []) {
            return;
        }
        $link = match (true) {
            count($expiring) === 1 => $expiring[0][1]['link'],
            $expiring !== [] => '/deferrals',
            default => '/fleet/due',
        };
        $today = $this->clock->today();
        foreach (Person::orderBy('id')->get() as $person) {
            if ($person->holds(Role::Controller) && ! $person->goneOn($today)) {
                $this->notices->tell($person->id, implode('; ', $says).'.', $link);
            }
        }
    }
}
