<?php

declare(strict_types=1);

namespace App\Library;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Visits\VisitPhase;

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
 * @property string $phase of a visit, see {@see VisitPhase}
 * @property string|null $makes `open`, `close`, `raise`, `lower`, `induct`, `safe`, `last`, `fix`: a card that a visit makes by itself
 * @property array<string, int>|null $needs people by skill; one of its own skill where null
 * @property list<array{place: string, who: string}> $positions of a crew that lifts, tows, moves surfaces or runs engines
 * @property array<string, string>|null $states of the aircraft: power, hydraulics, jacks, fuel
 * @property array<string, int>|null $parts by number
 * @property-read Manual $manual
 */
final class CardTemplate extends Model
{
    protected $casts = ['steps' => 'array', 'critical' => 'boolean', 'hours' => 'float', 'needs' => 'array', 'positions' => 'array', 'states' => 'array', 'parts' => 'array'];

    /** @return BelongsTo<Manual, $this> */
    public function manual(): BelongsTo
    {
        return $this->belongsTo(Manual::class);
    }

    /** @return array<string, int> people by skill */
    public function people(): array
    {
        return $this->needs ?? [$this->skill => 1];
    }

    /** @return list<string> kinds of tool that its readings are taken with */
    public function toolKinds(): array
    {
        $kinds = [];
        foreach ($this->steps as $step) {
            $kinds[] = $step['spec']['reading']['tool_kind'] ?? $step['spec']['tool_kind'] ?? null;
        }

        return array_values(array_unique(array_filter($kinds)));
    }
}
