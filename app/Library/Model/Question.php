<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A question to the type's support desk about a section, kept with its answer.
 *
 * @property int $id
 * @property int $manual_id
 * @property string $section
 * @property string $text
 * @property Instant $asked_at
 * @property string|null $answer
 * @property string|null $reference of the answer, as the desk numbers it
 * @property Instant|null $answered_at
 * @property-read Person $asker
 * @property-read Person|null $answerer who entered it
 * @property-read Manual $manual
 */
final class Question extends Model
{
    protected $casts = [
        'asked_at' => AsInstant::class,
        'answered_at' => AsInstant::class,
    ];

    /** @return BelongsTo<Person, $this> */
    public function asker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'asked_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function answerer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'answered_by');
    }

    /** @return BelongsTo<Manual, $this> */
    public function manual(): BelongsTo
    {
        return $this->belongsTo(Manual::class);
    }
}
