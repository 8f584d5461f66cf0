<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * Somebody read a card or a template again after a revision, and accepted it.
 *
 * @property int|null $template_id
 * @property int|null $card_id
 * @property int $person_id
 * @property int $from_revision
 * @property int $to_revision
 * @property string $outcome `stands`, `new` or `both`
 * @property string $note
 * @property Instant $at
 * @property-read Person $person
 */
final class Reread extends Model
{
    protected $casts = [
        'at' => AsInstant::class,
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
