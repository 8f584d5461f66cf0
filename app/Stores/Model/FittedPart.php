<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A part fitted to an aircraft by a step.
 *
 * @property int $id
 * @property int $part_id
 * @property int|null $batch_id null where it was on the aircraft before
 * @property int $card_id
 * @property int $step_id
 * @property int $aircraft_id
 * @property int $person_id
 * @property int $quantity
 * @property string $position
 * @property bool $again fitted before
 * @property Instant $at
 * @property bool $stands false once the step was taken back
 * @property-read Part $part
 * @property-read PartBatch|null $batch
 * @property-read Person $person
 * @property-read Card $card
 */
final class FittedPart extends Model
{
    use OfBatch;

    protected $casts = [
        'at' => AsInstant::class,
        'again' => 'boolean', 'stands' => 'boolean'];

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }
}
