<?php

declare(strict_types=1);

namespace App\Bench\Model;

use App\Fleet\Model\Aircraft;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Bench\Rigging\Effect;
use Jorvel\Core\Shared\Instant;

/**
 * What a rigging taught of an aircraft: the effect of every adjuster, for its next one.
 *
 * @property int $id
 * @property int $step_id
 * @property int $aircraft_id
 * @property string $model
 * @property int $runs ground runs behind it
 * @property array<string, array<string, array{mean: float|int, sd: float|int}>> $effects by adjuster and point
 * @property Instant $at
 * @property bool $stands
 * @property-read Aircraft $aircraft
 */
final class RigLesson extends Model
{
    protected $casts = ['effects' => 'array', 'at' => AsInstant::class, 'stands' => 'boolean'];

    public function effect(string $adjuster, string $point): ?Effect
    {
        $is = $this->effects[$adjuster][$point] ?? null;

        return $is === null ? null : Effect::of((float) $is['mean'], (float) $is['sd']);
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }
}
