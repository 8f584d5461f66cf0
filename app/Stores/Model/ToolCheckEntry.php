<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Crew\Model\Person;
use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;

/**
 * A tool was checked against a standard.
 *
 * @property int $tool_id
 * @property Day $date
 * @property bool $good
 * @property string $note
 * @property-read Person|null $person
 */
final class ToolCheckEntry extends Model
{
    protected $table = 'tool_checks';

    protected $casts = [
        'date' => AsDay::class,
        'good' => 'boolean'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
