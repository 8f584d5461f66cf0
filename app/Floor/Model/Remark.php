<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A word added at a step by somebody who works the card.
 *
 * @property int $id
 * @property int $card_id
 * @property int $step_id
 * @property int $person_id
 * @property string $text
 * @property int|null $photo_id taken with it
 * @property Instant $at
 * @property-read Photo|null $photo
 * @property-read Person $person
 */
final class Remark extends Model
{
    protected $casts = ['at' => AsInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Photo, $this> */
    public function photo(): BelongsTo
    {
        return $this->belongsTo(Photo::class);
    }
}
