<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** What somebody proposes for a type, and another decides. */
trait Proposed
{
    /** @return BelongsTo<AircraftType, $this> */
    public function type(): BelongsTo
    {
        return $this->belongsTo(AircraftType::class, 'type_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function proposer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'proposed_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function decider(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'decided_by');
    }
}
