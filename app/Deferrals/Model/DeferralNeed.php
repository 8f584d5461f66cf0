<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Crew\Model\Person;
use App\Shared\AsDay;
use App\Shared\Model;
use App\Stores\Model\Part;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;

/**
 * What the closure of a deferral waits for.
 *
 * @property int $id
 * @property int $deferral_id
 * @property string $kind `part`, `tool`, `people` `answer` or `extension`
 * @property string $what
 * @property int|null $part_id whose stock and orders say when it is there
 * @property int $quantity
 * @property Day|null $expected as somebody said; null where nobody knows, or the store does
 * @property string|null $there_at when it was said to be there
 * @property-read Part|null $part
 * @property-read Person $person
 */
final class DeferralNeed extends Model
{
    /** Asked of whoever grants it; closing it does not wait for that. */
    public const EXTENSION = 'extension';

    public const KINDS = ['part', 'tool', 'people', 'answer'];

    protected $casts = ['expected' => AsDay::class];

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /**
     * The day it is there: of a part, when stock and what is ordered suffice. Load `part.batches` and `part.orders`.
     *
     * @return Day|null null where nobody knows
     */
    public function thereOn(Day $today): ?Day
    {
        if ($this->there_at !== null) {
            return $today;
        }
        if ($this->part === null) {
            return $this->expected;
        }
        $have = $this->part->usable($today);
        if ($have >= $this->quantity) {
            return $today;
        }
        foreach ($this->part->orders as $order) {
            $have += $order->quantity;
            if ($have >= $this->quantity) {
                return Day::parse((string) $order->expected);
            }
        }

        return $this->expected;
    }
}
