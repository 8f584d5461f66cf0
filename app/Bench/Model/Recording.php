<?php

declare(strict_types=1);

namespace App\Bench\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\TestAttempt;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Bench\Samples;
use Jorvel\Core\Shared\Instant;

/**
 * What a recorder took in one run. Its columns are kept packed, doubles one after the other, the time first, then the
 * signals in their order; the modes are kept as where they change.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property int $recorder_id
 * @property int|null $attempt_id at a functional test
 * @property int $person_id
 * @property string $name of the file
 * @property Instant $begun_at
 * @property Instant $at when it was brought in
 * @property int $samples
 * @property float $seconds
 * @property list<array{signal: string, unit: string}> $signals
 * @property array{gaps: list<array{from: float, to: float, line: int}>, modes: list<array{t: float, mode: string}>,
 *   beyond: list<array<string, mixed>>} $found
 * @property string $sha256 of the file
 * @property string $data
 * @property-read Aircraft $aircraft
 * @property-read Recorder $recorder
 * @property-read Person $person
 * @property-read TestAttempt|null $attempt
 */
final class Recording extends Model
{
    protected $casts = [
        'begun_at' => AsInstant::class, 'at' => AsInstant::class, 'seconds' => 'float', 'signals' => 'array',
        'found' => 'array',
    ];

    /** All but the samples themselves, which are read only to be drawn or judged. */
    public const WITHOUT_DATA = [
        'id', 'aircraft_id', 'recorder_id', 'attempt_id', 'person_id', 'name', 'begun_at', 'at', 'samples', 'seconds',
        'signals', 'found', 'sha256',
    ];

    public static function pack(Samples $samples): string
    {
        $out = pack('e*', ...$samples->t);
        foreach ($samples->signals as $column) {
            $out .= pack('e*', ...$column);
        }

        return (string) gzcompress($out, 4);
    }

    /** @param list<string>|null $only these signals; all where null */
    public function samples(?array $only = null): Samples
    {
        $data = (string) gzuncompress($this->data);
        $size = 8 * $this->samples;
        $column = static fn(int $i): array => array_values((array) unpack('e*', substr($data, $i * $size, $size)));
        $signals = [];
        foreach ($this->signals as $i => $s) {
            if ($only === null || in_array($s['signal'], $only, true)) {
                $signals[$s['signal']] = $column($i + 1);
            }
        }

        return Samples::of($column(0), $signals);
    }

    /** @return list<string> the mode at each sample; empty where the recorder has none */
    public function modes(Samples $samples): array
    {
        $out = [];
        foreach ($this->found['modes'] as $i => $m) {
            $from = count($out);
            $next = $this->found['modes'][$i + 1]['t'] ?? null;
            $to = $next === null ? $samples->count() : $samples->at((float) $next);
            $out = $to > $from ? [...$out, ...array_fill(0, $to - $from, $m['mode'])] : $out;
        }

        return $out;
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }

    /** @return BelongsTo<Recorder, $this> */
    public function recorder(): BelongsTo
    {
        return $this->belongsTo(Recorder::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<TestAttempt, $this> */
    public function attempt(): BelongsTo
    {
        return $this->belongsTo(TestAttempt::class, 'attempt_id');
    }
}
