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
 * A tool, or a count of rags and small things, out on a card with somebody.
 *
 * @property int $id
 * @property int|null $tool_id null for what has no number of its own
 * @property int $card_id
 * @property int $person_id
 * @property string $what
 * @property int $quantity
 * @property Instant $out_at
 * @property int|null $in_by
 * @property Instant|null $in_at
 * @property-read Tool|null $tool
 * @property-read Card $card
 * @property-read Person $person
 */
final class ToolLoan extends Model
{
    protected $casts = [
        'out_at' => AsInstant::class,
        'in_at' => AsInstant::class,
    ];

    /** @return BelongsTo<Tool, $this> */
    public function tool(): BelongsTo
    {
        return $this->belongsTo(Tool::class);
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
