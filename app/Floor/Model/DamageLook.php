<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Floor\DamageSize;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * A damage as it was measured once; never changed, a correction is another look.
 *
 * @property int $id
 * @property int $damage_id
 * @property int|null $card_id
 * @property int $person_id
 * @property Day $date
 * @property Instant $at
 * @property float|null $fh flight hours of the aircraft then
 * @property float $length mm
 * @property float|null $depth
 * @property float|null $edge
 * @property float|null $fastener
 * @property string $note
 * @property-read Person $person
 */
final class DamageLook extends Model
{
    protected $casts = [
        'date' => AsDay::class, 'at' => AsInstant::class, 'fh' => 'float', 'length' => 'float', 'depth' => 'float',
        'edge' => 'float', 'fastener' => 'float'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public function size(): DamageSize
    {
        return DamageSize::of($this->length, $this->depth, $this->edge, $this->fastener);
    }
}
