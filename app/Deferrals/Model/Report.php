<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * What a crew reports of a flight. It ends by name: as a finding, which is then fixed or carried, or as no fault, by a
 * test that is on record.
 *
 * @property int $id
 * @property string $number
 * @property int $aircraft_id
 * @property string $flight its number; empty where nobody said
 * @property Instant $happened_at
 * @property string $crew who reports it
 * @property string $text
 * @property string|null $chapter null where its words say none
 * @property bool $chapter_said by a person
 * @property string $source `typed`, `file`, `programme` or `line`
 * @property string $state {@see self::OPEN}, {@see self::FINDING} or {@see self::NO_FAULT}
 * @property Instant $at when it was entered
 * @property int|null $finding_id
 * @property int|null $proof_id the card whose test found no fault
 * @property int|null $repeat_of
 * @property string $answer
 * @property Instant|null $ended_at
 * @property-read Aircraft $aircraft
 * @property-read Person $person who entered it
 * @property-read Finding|null $finding
 * @property-read Card|null $proof
 * @property-read Report|null $before
 * @property-read Person|null $endedBy
 */
final class Report extends Model
{
    public const OPEN = 'open';

    public const FINDING = 'finding';

    public const NO_FAULT = 'no_fault';

    protected $casts = [
        'happened_at' => AsInstant::class, 'at' => AsInstant::class, 'ended_at' => AsInstant::class,
        'chapter_said' => 'boolean',
    ];

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class, 'aircraft_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Finding, $this> */
    public function finding(): BelongsTo
    {
        return $this->belongsTo(Finding::class);
    }

    /** @return BelongsTo<Card, $this> */
    public function proof(): BelongsTo
    {
        return $this->belongsTo(Card::class, 'proof_id');
    }

    /** @return BelongsTo<Report, $this> */
    public function before(): BelongsTo
    {
        return $this->belongsTo(self::class, 'repeat_of');
    }

    /** @return BelongsTo<Person, $this> */
    public function endedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'ended_by');
    }

    /** How it stands: `open`, `finding`, `deferred`, `fixed` or `no_fault`. Load `finding` first. */
    public function stands(): string
    {
        return match ($this->state) {
            self::FINDING => $this->finding?->state === Finding::OPEN
                ? 'finding' : (string) $this->finding?->state->value,
            default => $this->state,
        };
    }
}
