<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Component;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Fleet\ComponentTag;
use Jorvel\Core\Shared\Instant;

/**
 * A component that a step took off, and the one that it put on.
 *
 * @property int $id
 * @property int $step_id
 * @property int $card_id
 * @property int $aircraft_id
 * @property string $position
 * @property int|null $off_id null where nothing stood there
 * @property int|null $off_by
 * @property Instant|null $off_at
 * @property ComponentTag|null $tag of what came off
 * @property string $why it came off
 * @property int|null $on_id null while none is on
 * @property int|null $on_by
 * @property Instant|null $on_at
 * @property array<string, array{off: int, on?: int}> $hardware what goes over to the new unit: counted off and on
 * @property bool $stands false once the step was taken back
 * @property-read Component|null $unitOff
 * @property-read Component|null $unitOn
 * @property-read Person|null $offBy
 * @property-read Person|null $onBy
 */
final class Exchange extends Model
{
    protected $casts = [
        'off_at' => AsInstant::class, 'on_at' => AsInstant::class, 'tag' => ComponentTag::class,
        'hardware' => 'array', 'stands' => 'boolean'];

    /** @return BelongsTo<Component, $this> */
    public function unitOff(): BelongsTo
    {
        return $this->belongsTo(Component::class, 'off_id');
    }

    /** @return BelongsTo<Component, $this> */
    public function unitOn(): BelongsTo
    {
        return $this->belongsTo(Component::class, 'on_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function offBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'off_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function onBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'on_by');
    }

    /** The one of a step that stands. */
    public static function of(Step $step): ?self
    {
        return self::with('unitOff', 'unitOn')->where(['step_id' => $step->id, 'stands' => true])->first();
    }
}
