<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Fleet\Model\AircraftType;
use App\Floor\Model\Step;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Jorvel\Core\Library\Steps;
use Jorvel\Core\Visits\VisitStage;

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
 * @property bool $independent_inspection
 * @property list<array<string, mixed>> $steps
 * @property VisitStage $stage of a visit, see {@see VisitStage}
 * @property string|null $makes `open`, `close`, `raise`, `lower`, `induct`, `safe`, `last`, `fix`: a card that a visit
 * makes by itself
 * @property array<string, int>|null $needs people by skill; one of its own skill where null
 * @property list<array{place: string, who: string}> $positions of a crew that lifts, tows, moves surfaces or runs
 * engines
 * @property array<string, string>|null $configuration of the aircraft: power, hydraulics, jacks, fuel
 * @property array<string, int>|null $parts by number
 * @property string $section of the manual
 * @property list<string> $systems of the aircraft that it touches
 * @property list<string>|null $covers what an independent inspection of it looks at; as its system has it where null
 * @property string $method its name, where more than one is in use
 * @property list<string>|null $fleets whose approved data says so; every fleet where null
 * @property int|null $of_id the template that it is another method of
 * @property int|null $stays_until up to which revision of its manual it is known to stay at its own, as the approved
 * data of its fleets says
 * @property int $version of its own text: {@see CardVersion}
 * @property list<string>|null $panels that must be open for it, besides those of its item
 * @property list<string>|null $ground equipment that it needs: jacks, stands, a rig
 * @property list<string>|null $after codes of cards that come before it in the same visit
 * @property int|null $unchanged_until up to which revision of its manual its passage is known to be the same
 * @property-read AircraftType $type
 * @property-read Manual $manual
 * @property-read Collection<int, CardTemplate> $methods other methods of the same task
 */
final class CardTemplate extends Model
{
    protected $casts = [
        'stage' => VisitStage::class,
        'systems' => 'array',
        'covers' => 'array',
        'fleets' => 'array',
        'steps' => 'array',
        'independent_inspection' => 'boolean',
        'hours' => 'float',
        'needs' => 'array',
        'positions' => 'array',
        'configuration' => 'array',
        'parts' => 'array',
        'panels' => 'array',
        'ground' => 'array',
        'after' => 'array',
    ];

    /** @return BelongsTo<AircraftType, $this> */
    public function type(): BelongsTo
    {
        return $this->belongsTo(AircraftType::class);
    }

    /** @return BelongsTo<Manual, $this> */
    public function manual(): BelongsTo
    {
        return $this->belongsTo(Manual::class);
    }

    /**
     * What it is called where it is one of a set: the place first, it is what tells them apart.
     *
     * @param string $check the title of the item's own card
     */
    public function partOf(string $check): string
    {
        return "{$this->title} ({$check})";
    }

    /** @return HasMany<CardTemplate, $this> */
    public function methods(): HasMany
    {
        return $this->hasMany(self::class, 'of_id')->orderBy('id');
    }

    /**
     * The revision that it has to be written from: its manual's, unless its passage is the same since, or it stays at
     * its own and that was looked at. Load `manual` first.
     */
    public function revisionInForce(): int
    {
        $now = $this->manual->revision;

        return $this->stays_until === $now || $this->unchanged_until === $now ? $this->revision : $now;
    }

    /** @return list<array<string, mixed>> its steps as rows of a card */
    public function stepRows(int $cardId): array
    {
        $steps = Figure::stamped($this->expanded(), $this->type_id);

        return array_map(static fn(array $s, int $i): array => [
            'card_id' => $cardId, 'no' => $i + 1, 'kind' => $s['kind'], 'title' => $s['title'],
            'text' => $s['text'] ?? '',
            'spec' => json_encode((object) ($s['spec'] ?? []), JSON_THROW_ON_ERROR), 'state' => Step::OPEN,
        ], $steps, array_keys($steps));
    }

    /** @return list<array<string, mixed>> its steps as a card has them, each block at each of its positions */
    public function expanded(): array
    {
        return Steps::expand($this->steps);
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
        foreach ($this->expanded() as $step) {
            $kinds[] = $step['spec']['reading']['tool_kind'] ?? $step['spec']['real']['tool_kind']
                ?? $step['spec']['tool_kind'] ?? null;
        }

        return array_values(array_unique(array_filter($kinds)));
    }
}
