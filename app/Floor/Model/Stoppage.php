<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * That a card waits for a part, a tool, help or an answer, from when to when.
 *
 * @property int $id
 * @property int $card_id
 * @property int|null $step_id
 * @property string $kind `part`, `tool`, `help`, `answer`
 * @property string $what
 * @property int $person_id
 * @property Instant $since
 * @property int|null $ended_by
 * @property Instant|null $ended_at
 * @property-read Person $person
 * @property-read Card $card
 * @property-read Step|null $step
 */
final class Stoppage extends Model
{
    public const KINDS = ['part', 'tool', 'help', 'answer'];

    protected $casts = ['since' => AsInstant::class, 'ended_at' => AsInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Step, $this> */
    public function step(): BelongsTo
    {
        return $this->belongsTo(Step::class);
    }
}
