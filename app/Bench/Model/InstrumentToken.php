<?php

declare(strict_types=1);

namespace App\Bench\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use App\Stores\Model\Tool;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * What lets one instrument, and no other, send what it shows. The token itself is shown once and kept as a hash.
 *
 * @property int $id
 * @property int $tool_id
 * @property string $hash
 * @property int $person_id
 * @property Instant $at
 * @property Instant|null $revoked_at
 * @property-read Tool $tool
 */
final class InstrumentToken extends Model
{
    protected $casts = ['at' => AsInstant::class, 'revoked_at' => AsInstant::class];

    /** @return BelongsTo<Tool, $this> */
    public function tool(): BelongsTo
    {
        return $this->belongsTo(Tool::class);
    }
}
