<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Shared\AsInstant;
use App\Shared\Model;
use App\Shared\Refused;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Library\CardState;
use Jorvel\Core\Shared\Instant;

/**
 * One version of a card template, from its draft on.
 *
 * @property int $id
 * @property int $type_id
 * @property string $code
 * @property int $no
 * @property CardState $state
 * @property array<string, mixed> $body as in core/schema/card.json
 * @property string $note what was changed, and why
 * @property int $version counts every change of a draft
 * @property list<int> $writers everybody who wrote at it; none of them checks it
 * @property Instant $written_at
 * @property int|null $checked_by
 * @property Instant|null $checked_at
 * @property int|null $forced_by
 * @property Instant|null $forced_at
 * @property-read AircraftType $type
 * @property-read Person|null $checker
 * @property-read Person|null $forcer
 */
final class CardVersion extends Model
{
    protected $casts = [
        'state' => CardState::class, 'body' => 'array', 'writers' => 'array', 'written_at' => AsInstant::class,
        'checked_at' => AsInstant::class, 'forced_at' => AsInstant::class,
    ];

    /** @return BelongsTo<AircraftType, $this> */
    public function type(): BelongsTo
    {
        return $this->belongsTo(AircraftType::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function checker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'checked_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function forcer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'forced_by');
    }

    /** The one that is being written, or waits to come in force; null where there is none. */
    public static function openOf(int $typeId, string $code): ?self
    {
        return self::where(['type_id' => $typeId, 'code' => $code])
            ->whereIn('state', [CardState::Draft, CardState::Checked])->first();
    }

    /** @throws Refused for whoever saw an older one */
    public function requireVersion(int $seen): void
    {
        if ($this->version !== $seen) {
            throw Refused::stale(
                'Somebody else wrote at this draft while you had it open. What you entered is still here. Look at '
                    .'what they did, then save again.',
                $this->version,
            );
        }
    }
}
