<?php

declare(strict_types=1);

namespace App\Library;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a card is made from: its steps, and the manual revision they were written from.
 *
 * @property int $id
 * @property int $type_id
 * @property int $manual_id
 * @property string $code
 * @property string $title
 * @property string $chapter
 * @property int $revision
 * @property string $skill
 * @property float $hours
 * @property string $zone
 * @property bool $critical
 * @property list<array<string, mixed>> $steps
 * @property-read Manual $manual
 */
final class CardTemplate extends Model
{
    protected $casts = ['steps' => 'array', 'critical' => 'boolean', 'hours' => 'float'];

    /** @return BelongsTo<Manual, $this> */
    public function manual(): BelongsTo
    {
        return $this->belongsTo(Manual::class);
    }
}
