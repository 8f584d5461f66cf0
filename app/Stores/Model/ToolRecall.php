<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A tool was found out of tolerance: every reading since its last good check is in doubt.
 *
 * @property int $id
 * @property int $tool_id
 * @property string $found_on
 * @property string|null $last_good null: no check says it ever was
 * @property string $doubt_from the instant from which on its readings are in doubt; empty: all of them
 * @property string $note
 * @property Instant $at until when
 * @property-read Tool $tool
 */
final class ToolRecall extends Model
{
    protected $casts = [
        'at' => AsInstant::class,
    ];

    /** @return BelongsTo<Tool, $this> */
    public function tool(): BelongsTo
    {
        return $this->belongsTo(Tool::class);
    }
}
