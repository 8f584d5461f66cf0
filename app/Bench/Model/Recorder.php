<?php

declare(strict_types=1);

namespace App\Bench\Model;

use App\Fleet\Model\AircraftType;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Bench\RecorderMap;

/**
 * A kind of recorder, and how it writes its files.
 *
 * @property int $id
 * @property int $type_id
 * @property string $code
 * @property string $title
 * @property array<string, mixed> $mapping as {@see RecorderMap}
 * @property int $version
 * @property-read AircraftType $type
 */
final class Recorder extends Model
{
    protected $casts = ['mapping' => 'array'];

    public function map(): RecorderMap
    {
        return RecorderMap::from($this->mapping);
    }

    /** @return BelongsTo<AircraftType, $this> */
    public function type(): BelongsTo
    {
        return $this->belongsTo(AircraftType::class, 'type_id');
    }
}
