<?php

declare(strict_types=1);

namespace App\Bench\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Library\Model\CardTemplate;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A point of an aircraft whose trend stands in the due list, with the date that its latest readings give it.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property int $template_id
 * @property string $title of its step
 * @property string $point
 * @property int $person_id
 * @property Instant $at
 * @property string $why
 * @property int|null $ended_by
 * @property Instant|null $ended_at
 * @property string|null $ended_why
 * @property-read Aircraft $aircraft
 * @property-read CardTemplate $template
 * @property-read Person $person
 */
final class FollowedPoint extends Model
{
    /** What its lines of the due list are called, before its number. */
    public const STOP = 'trend:';

    protected $casts = ['at' => AsInstant::class, 'ended_at' => AsInstant::class];

    /** @param Builder<self> $query */
    public function scopeStanding(Builder $query): void
    {
        $query->whereNull('ended_at');
    }

    /** What tells it from every other point: aircraft, template, title of the step, point. */
    public function key(): string
    {
        return "{$this->aircraft_id}|{$this->template_id}|{$this->title}|{$this->point}";
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }

    /** @return BelongsTo<CardTemplate, $this> */
    public function template(): BelongsTo
    {
        return $this->belongsTo(CardTemplate::class, 'template_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
