<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\VisitProgress;

/**
 * An aircraft standing in work, from its first day to its last.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property string $title
 * @property string $bay
 * @property string $kind `visit`; `cancelled`; `line` for a check on the line, which is none: only who asks for it by
 *   {@see onLine()} or by its card finds it
 * @property string|null $flight before which the aircraft is turned round, of such a check on the line
 * @property Day $start
 * @property Day $end
 * @property VisitProgress $state
 * @property bool $between at a wash place: on its days the aircraft flies all the same
 * @property-read Aircraft $aircraft
 * @property-read VisitPlan|null $plan
 * @property-read Collection<int, Card> $cards
 */
final class Visit extends Model
{
    protected $casts = [
        'state' => VisitProgress::class,
        'start' => AsDay::class,
        'end' => AsDay::class,
        'between' => 'boolean',
    ];

    /** In no bay: on the apron of the aircraft's base. */
    public const LINE = 'line';

    public const PLANNED = VisitProgress::Planned;

    public const IN_WORK = VisitProgress::InWork;

    public const RELEASED = VisitProgress::Released;

    public const CHECK = 'line';

    /** The kind of one that was cancelled, or merged into another: nobody finds it but by its number. */
    public const CANCELLED = 'cancelled';

    protected static function booted(): void
    {
        self::addGlobalScope('visits', static fn(Builder $q) => $q->whereNotIn(
            'visits.kind',
            [self::CHECK, self::CANCELLED],
        ));
        self::saving(static function (self $visit): void {
            if ($visit->isDirty('bay')) {
                $visit->between = Bay::where('name', $visit->bay)->where('washes', true)->exists();
            }
        });
    }

    /** @return Builder<Visit> checks on the line */
    public static function onLine(): Builder
    {
        return self::withoutGlobalScope('visits')->where('visits.kind', self::CHECK);
    }

    /** @return Builder<Visit> visits and checks on the line, but none that was cancelled */
    public static function everywhere(): Builder
    {
        return self::withoutGlobalScope('visits')->where('visits.kind', '!=', self::CANCELLED);
    }

    /** Days until it is planned to begin, while nobody has begun it; else 0. */
    public function daysEarly(Day $today): int
    {
        return $this->state === self::PLANNED ? max(0, $today->daysUntil($this->start)) : 0;
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }

    /** @return HasOne<VisitPlan, $this> */
    public function plan(): HasOne
    {
        return $this->hasOne(VisitPlan::class);
    }

    /**
     * Whether it has a plan that is as good as before where it goes to a bay and begins on a day: how long it may last
     * and what it is called is nothing to it.
     */
    public function planStands(string $bay, Day $start): bool
    {
        return $bay === $this->bay && $start->number === $this->start->number
            && $this->plan !== null && $this->plan->problem() === null;
    }

    /** The highest number that a card of it has had: numbers go on from there. */
    public function cardsMade(): int
    {
        return (int) Card::where('number', 'like', sprintf('%03d-', $this->id).'%')
            ->selectRaw("max(cast(substr(number, instr(number, '-') + 1) as integer)) as n")
            ->value('n');
    }

    /** @return HasMany<Card, $this> */
    public function cards(): HasMany
    {
        return $this->hasMany(Card::class)->orderBy('id');
    }
}
