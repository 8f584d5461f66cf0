<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use App\Stores\Model\Tool;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A reading with the tool that took it and the verdict on it.
 *
 * @property int $id
 * @property int $step_id
 * @property int $card_id
 * @property int|null $tool_id
 * @property string $point
 * @property ReadingKind $kind
 * @property int $run
 * @property float $value
 * @property string $unit
 * @property string $verdict
 * @property float|null $margin
 * @property Instant $at
 * @property bool $stands
 * @property-read Tool|null $tool
 * @property-read Person $taker
 */
final class Reading extends Model
{
    protected $casts = ['kind' => ReadingKind::class,
        'at' => AsInstant::class,
        'reasons' => 'array', 'stands' => 'boolean'];

    /** @return BelongsTo<Tool, $this> */
    public function tool(): BelongsTo
    {
        return $this->belongsTo(Tool::class, 'tool_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function taker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'person_id');
    }
}
