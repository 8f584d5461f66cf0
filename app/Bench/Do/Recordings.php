<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\Recording;
use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Do\Exceedances;
use App\Floor\Do\NewExceedance;
use App\Floor\Model\Exceedance;
use App\Library\FollowWords;
use App\Library\Model\FollowRule;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\BeyondLimit;
use Jorvel\Core\Bench\SampleFile;
use Jorvel\Core\Library\ExceededTable;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/**
 * What a recorder took is brought in: checked whole, kept as it is, and every limit of the type that it went beyond is
 * recorded at once, with what follows from that.
 */
final readonly class Recordings
{
    public function __construct(private Clock $clock, private Records $records, private Exceedances $exceedances) {}

    /** @throws Refused with every line that is wrong */
    public function read(NewRecording $new): ReadRecording
    {
        $file = SampleFile::read($new->text, $new->recorder->map());
        if (is_array($file)) {
            throw Refused::lines(
                'The file was not taken. Nothing was saved; mend these lines, or its recorder.',
                array_map(
                    static fn(InputError $e): array => ['line' => $e->path, 'message' => $e->getMessage()],
                    $file,
                ),
            );
        }
        $end = Instant::fromEpoch($new->begun->epoch() + (int) ceil($file->samples->t[$file->samples->count() - 1]));
        if ($this->clock->now()->isBefore($end)) {
            throw Refused::because('The run would end in a time to come. Say when it began; nothing was saved.');
        }

        return new ReadRecording($file, $this->beyond($new, $file));
    }

    /**
     * Every time that a signal went beyond the limit of a table of the type.
     *
     * @return list<array{rule: string, position: string, quantity: string, from: float, seconds: float, peak: float,
     *   unit: string, said: string}>
     */
    private function beyond(NewRecording $new, SampleFile $file): array
    {
        $tables = $this->tables($new->aircraft);
        $out = [];
        foreach ($new->recorder->map()->signals as $s) {
            $table = $s['rule'] === null ? null : $tables[$s['rule']] ?? null;
            if ($table === null) {
                continue;
            }
            $limit = $table->unit->to($s['unit'], $table->limit);
            $column = $file->samples->column($s['signal']);
            foreach (BeyondLimit::all($file->samples->t, $column, $limit, $table->over) as $b) {
                $peak = $s['unit']->to($table->unit, $b->peak);
                $row = $table->row($peak, $b->seconds);
                if ($row !== null) {
                    $out[] = [
                        'rule' => (string) $s['rule'], 'position' => (string) $s['position'],
                        'quantity' => $table->quantity, 'from' => $b->from, 'seconds' => $b->seconds, 'peak' => $peak,
                        'unit' => $table->unit->value,
                        'said' => "{$s['position']}: {$table->quantity} "
                            .FollowWords::exceeded($table, $peak, round($b->seconds, 1)).': '.$row->title,
                    ];
                }
            }
        }

        return $out;
    }

    /** @return array<string, ExceededTable> by code of the rule */
    private function tables(Aircraft $aircraft): array
    {
        $out = [];
        foreach (FollowRule::inForce($aircraft->type_id)->get() as $rule) {
            $table = $rule->rule()->exceeded;
            if ($table !== null) {
                $out[$rule->code] = $table;
            }
        }

        return $out;
    }

    /** @throws Refused for one that is there already, or with every line that is wrong */
    public function save(Person $by, NewRecording $new): Recording
    {
        $read = $this->read($new);
        $sha = hash('sha256', $new->text);
        if (Recording::where(['aircraft_id' => $new->aircraft->id, 'sha256' => $sha])->exists()) {
            throw Refused::because('This recording is here already. Nothing was saved.');
        }

        return DB::transaction(function () use ($by, $new, $read, $sha): Recording {
            $samples = $read->file->samples;
            $recording = Recording::create([
                'aircraft_id' => $new->aircraft->id, 'recorder_id' => $new->recorder->id,
                'attempt_id' => $new->attempt?->id, 'person_id' => $by->id, 'name' => $new->name,
                'begun_at' => (string) $new->begun, 'at' => (string) $this->clock->now(),
                'samples' => $samples->count(), 'seconds' => $samples->t[$samples->count() - 1],
                'signals' => array_map(static fn(array $s): array => [
                    'signal' => $s['signal'], 'unit' => $s['unit']->value,
                ], $new->recorder->map()->signals),
                'found' => [
                    'gaps' => $read->file->gaps, 'modes' => self::modes($read->file), 'beyond' => $read->beyond,
                ],
                'sha256' => $sha, 'data' => Recording::pack($samples),
            ]);
            $this->records->write($by, 'recording.taken', "recording:{$recording->id}", [
                'aircraft' => $new->aircraft->mark, 'recorder' => $new->recorder->code, 'name' => $new->name,
                'begun' => (string) $new->begun, 'samples' => $samples->count(), 'sha256' => $sha,
                'attempt' => $new->attempt?->id,
            ]);
            foreach ($read->beyond as $b) {
                $happened = Instant::fromEpoch($new->begun->epoch() + (int) floor($b['from']));
                $known = Exceedance::where([
                    'aircraft_id' => $new->aircraft->id, 'position' => $b['position'],
                    'happened_at' => (string) $happened, 'mistake' => null,
                ])->exists();
                if (! $known) {
                    $this->exceedances->record($by, $new->aircraft, new NewExceedance(
                        $b['rule'],
                        $b['position'],
                        $b['peak'],
                        round($b['seconds'], 2),
                        'recorder',
                        $happened,
                        "Recording {$new->name}",
                    ));
                }
            }

            return $recording;
        });
    }

    /**
     * Where the mode changes, the first one with it.
     *
     * @return list<array{t: float, mode: string}>
     */
    private static function modes(SampleFile $file): array
    {
        $out = [];
        $last = null;
        foreach ($file->modes as $i => $mode) {
            if ($mode !== $last) {
                $out[] = ['t' => $file->samples->t[$i], 'mode' => $mode];
                $last = $mode;
            }
        }

        return $out;
    }

    /** What a recording comes to, in a sentence. */
    public static function sentence(ReadRecording $read, string $mark): string
    {
        $seconds = $read->file->samples->t[$read->file->samples->count() - 1];
        $changes = max(0, count(self::modes($read->file)) - 1);

        return "{$mark}: ".Words::number($seconds / 60, 1).' minutes, '.number_format($read->file->samples->count())
            .' samples, '.Words::count($changes, 'change of mode', 'changes of mode').'. '
            .match (count($read->beyond)) {
                0 => 'No limit was exceeded.', 1 => 'A limit was exceeded.',
                default => 'Limits were exceeded '.count($read->beyond).' times.',
            };
    }
}
