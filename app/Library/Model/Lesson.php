<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;

/**
 * What went wrong at a card's work once, so that whoever takes it next has read of it.
 *
 * @property int $id
 * @property int $template_id
 * @property int|null $card_id at which it was learned
 * @property string $text
 * @property int $proposed_by
 * @property Instant $proposed_at
 * @property string $state `proposed`, `accepted`, `declined`
 * @property int|null $decided_by
 * @property Instant|null $decided_at
 * @property string $why it was declined
 * @property-read CardTemplate $template
 * @property-read Person $proposer
 * @property-read Person|null $decider
 */
final class Lesson extends Model
{
    public const PROPOSED = 'proposed';

    public const ACCEPTED = 'accepted';

    public const DECLINED = 'declined';

    protected $casts = ['proposed_at' => AsInstant::class, 'decided_at' => AsInstant::class];

    /** @return BelongsTo<CardTemplate, $this> */
    public function template(): BelongsTo
    {
        return $this->belongsTo(CardTemplate::class);
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

    /**
     * What went wrong at a task, by whichever of its methods.
     *
     * @return Collection<int, self> accepted ones of a template and its other methods that somebody has not read
     */
    public static function unread(int $person, int $template): Collection
    {
        $task = DB::raw('coalesce(of_id, id)');

        return self::with('proposer', 'decider')->where('state', self::ACCEPTED)
            ->whereIn('template_id', CardTemplate::where(
                $task,
                CardTemplate::whereKey($template)->select($task)->limit(1),
            )->select('id'))
            ->whereNotExists(static fn($q) => $q->from('lesson_reads')
                ->whereColumn('lesson_reads.lesson_id', 'lessons.id')->where('person_id', $person))
            ->orderBy('id')->get();
    }
}
