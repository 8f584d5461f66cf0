<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A version of a drawing of one's own, for the steps of cards.
 *
 * @property int $id
 * @property int $type_id
 * @property string $code
 * @property int $version
 * @property string $title
 * @property string $mime `image/svg+xml` or `image/png`
 * @property int $width in its own units
 * @property int $height
 * @property string $data base64
 * @property int $person_id
 * @property Instant $at
 * @property-read AircraftType $type
 * @property-read Person $person
 */
final class Figure extends Model
{
    protected $casts = ['at' => AsInstant::class];

    /** @return BelongsTo<AircraftType, $this> */
    public function type(): BelongsTo
    {
        return $this->belongsTo(AircraftType::class, 'type_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public function src(): string
    {
        return "data:{$this->mime};base64,{$this->data}";
    }

    /** @return array<string, int> the latest version of each figure of a type, by code */
    public static function latest(int $typeId): array
    {
        return self::where('type_id', $typeId)->groupBy('code')->selectRaw('code, max(version) as version')
            ->pluck('version', 'code')->all();
    }

    /**
     * Steps with the version of each figure that they show, so that a card keeps the one it was made with.
     *
     * @param list<array<string, mixed>> $steps
     *
     * @return list<array<string, mixed>>
     */
    public static function stamped(array $steps, int $typeId): array
    {
        $latest = null;
        foreach ($steps as $i => $step) {
            if (isset($step['spec']['figure'])) {
                $latest ??= self::latest($typeId);
                $steps[$i]['spec']['figure']['version'] = $latest[$step['spec']['figure']['code']] ?? 0;
            }
        }

        return $steps;
    }

    /**
     * The figures that steps show.
     *
     * @param iterable<array<string, mixed>> $specs of steps, stamped
     *
     * @return Collection<int, self>
     */
    public static function of(iterable $specs, int $typeId): Collection
    {
        $keys = [];
        foreach ($specs as $spec) {
            if (isset($spec['figure']['code'], $spec['figure']['version'])) {
                $keys["{$spec['figure']['code']} {$spec['figure']['version']}"] = $spec['figure'];
            }
        }

        return $keys === [] ? new Collection : self::where('type_id', $typeId)->where(static function ($q) use ($keys) {
            foreach ($keys as $f) {
                $q->orWhere(static fn($q) => $q->where(['code' => $f['code'], 'version' => $f['version']]));
            }
        })->orderBy('code')->get();
    }
}
