<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Bench\Model\RigRun;
use App\Crew\Model\Person;
use App\Floor\Do\Work\StepKinds;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Jorvel\Core\Floor\StepProgress;
use Jorvel\Core\Shared\Instant;

/**
 * One step of a card.
 *
 * @property int $id
 * @property int $card_id
 * @property int $no
 * @property string $kind see {@see StepKinds} and docs/steps.md; `inspection` besides
 * @property string $title
 * @property string $text
 * @property array<string, mixed> $spec what its kind needs: docs/steps.md
 * @property StepProgress $state
 * @property Instant|null $started_at when a hold began
 * @property array<string, mixed>|null $result
 * @property int|null $done_by
 * @property Instant|null $done_at
 * @property-read Card $card
 * @property-read Person|null $doer
 * @property-read Collection<int, RigRun> $runs
 */
final class Step extends Model
{
    public const OPEN = StepProgress::Open;

    public const DONE = StepProgress::Done;

    protected $casts = [
        'state' => StepProgress::class,
        'started_at' => AsInstant::class,
        'done_at' => AsInstant::class,
        'spec' => 'array', 'result' => 'array'];

    /** Nothing is left to do at it: done, or answered as not applicable. */
    public function settled(): bool
    {
        return $this->state->settled();
    }

    /**
     * What a reading of this step is judged by: the step's own, or, on a rigging sheet, that of one of its points.
     *
     * @return array<string, mixed> `{point, tool_kind, limit, decision?}`; empty where the step takes no such reading
     */
    public function readingSpec(string $point = ''): array
    {
        $found = array_column($this->spec['points'] ?? [], null, 'id')[$point] ?? null;

        $own = $this->spec['reading'] ?? [];
        // Once it is done, a limit that flowed is the one that it was judged by.
        $limit = $this->result['limit'] ?? null;

        if ($found !== null && $this->kind === 'sheet') {
            return array_filter([
                'point' => $found['id'],
                'tool_kind' => $found['tool_kind'] ?? null,
                'unit' => $found['unit'],
                // One that is read by a chart has its limit from the other points of its sheet.
                'limit' => $found['limit'] ?? $this->result['limits'][$found['id']] ?? null,
                'decision' => $found['decision'] ?? null,
                'advised' => $found['advised'] ?? null,
            ], static fn(mixed $v): bool => $v !== null);
        }

        return $found === null ? ($limit === null ? $own : [...$own, 'limit' => $limit]) : [
            'point' => $found['id'],
            'tool_kind' => $this->spec['tool_kind'],
            'limit' => ['kind' => 'range', 'unit' => $found['unit'], 'min' => $found['min'], 'max' => $found['max']],
        ];
    }

    /** What it does to a system, in words: "pressurises hydraulics"; null for a step that acts on none. */
    public function acts(): ?string
    {
        $acts = $this->spec['acts'] ?? null;

        return $acts === null ? null : "{$acts['how']} ".implode(' and ', $acts['systems']);
    }

    /** @return list<string> that it energises, moves or pressurises */
    public function systems(): array
    {
        return $this->spec['acts']['systems'] ?? [];
    }

    /** @return list<string> kinds of tool that its readings or its use need, each once */
    public function toolKinds(): array
    {
        return array_values(array_unique(array_filter([
            $this->spec['reading']['tool_kind'] ?? null, $this->spec['real']['tool_kind'] ?? null,
            $this->spec['tool_kind'] ?? null,
            ...$this->kind === 'sheet' ? array_column($this->spec['points'], 'tool_kind') : [],
        ])));
    }

    /** Open again, as if it had not been worked; the record keeps that it was. */
    public function open(): void
    {
        $this->fill([
            'state' => self::OPEN,
            'result' => null,
            'done_by' => null,
            'done_at' => null,
            'started_at' => null,
        ])
            ->save();
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function doer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'done_by');
    }

    /** @return HasMany<RigRun, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(RigRun::class)->orderBy('no');
    }
}
