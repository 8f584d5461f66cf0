<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Crew\Model\Person;
use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * A proposal of who flies whose line, handed to the flying programme, and what came back.
 *
 * @property int $id
 * @property Day $date
 * @property list<array{from: string, to: string, flights: string}> $moves
 * @property string $why
 * @property bool $accepted
 * @property string $answer
 * @property Instant $at
 * @property-read Person $person
 */
final class SwapRow extends Model
{
    protected $table = 'swaps';

    protected $casts = [
        'date' => AsDay::class, 'at' => AsInstant::class, 'moves' => 'array', 'accepted' => 'boolean',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
