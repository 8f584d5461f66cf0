<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Crew\Model\Person;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** What somebody took from a batch of a part for a card. */
trait OfBatch
{
    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** @return BelongsTo<PartBatch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(PartBatch::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
