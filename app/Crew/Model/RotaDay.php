<?php

declare(strict_types=1);

namespace App\Crew\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;

/**
 * A day on which somebody works another shift than usual, or none.
 *
 * @property int $id
 * @property int $person_id
 * @property Day $date
 * @property string|null $shift null: not there
 * @property string $why `leave`, `sick`, or a word of the controller's
 * @property int|null $set_by
 * @property-read Person $person
 */
final class RotaDay extends Model
{
    protected $casts = [
        'date' => AsDay::class,
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
