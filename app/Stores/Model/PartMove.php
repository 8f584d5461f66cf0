<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * Pieces of a batch that came, went or were counted; never changed afterwards.
 *
 * @property int $id
 * @property int $batch_id
 * @property MoveKind $kind
 * @property int $quantity signed: what it changed
 * @property int $left what there was afterwards
 * @property string $paper the paper it came with, the card it went to, or why
 * @property int|null $person_id
 * @property Instant $at
 * @property-read PartBatch $batch
 * @property-read Person|null $person
 */
final class PartMove extends Model
{
    protected $casts = [
        'at' => AsInstant::class, 'kind' => MoveKind::class,
    ];

    /** @return BelongsTo<PartBatch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(PartBatch::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
