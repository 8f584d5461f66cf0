<?php

declare(strict_types=1);

namespace App\Release\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A release signed: the certificate of one visit.
 *
 * @property int $id
 * @property int $visit_id
 * @property string $number
 * @property Instant $at
 * @property list<array{code: string, title: string, next: string}> $moved the due items that moved on
 * @property array<string, mixed>|null $said everything that its paper says, as it was at the signature; null where it
 * was signed before that was kept
 * @property-read Person $person
 * @property-read Visit $visit
 */
final class Certificate extends Model
{
    protected $table = 'releases';

    protected $casts = [
        'at' => AsInstant::class,
        'moved' => 'array', 'said' => 'array'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class);
    }
}
