<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Library\Model\FollowRule;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Library\FollowKind;
use Jorvel\Core\Shared\Instant;

/**
 * Something that follows from a finding by a rule of Library.
 *
 * @property int $id
 * @property int $finding_id
 * @property int $rule_id
 * @property FollowKind $kind
 * @property string $text
 * @property list<string> $choices
 * @property string|null $chapter of a suspect
 * @property int|null $card_id that was opened
 * @property string $state `open`, `answered`, `not_needed`
 * @property string $answer what was answered, or why it is not needed
 * @property int|null $led_to a finding of its own
 * @property int|null $person_id
 * @property Instant|null $at
 * @property-read Finding $finding
 * @property-read FollowRule $rule
 * @property-read Card|null $card
 * @property-read Finding|null $led
 * @property-read Person|null $person
 */
final class FollowUp extends Model
{
    public const OPEN = 'open';

    public const ANSWERED = 'answered';

    public const NOT_NEEDED = 'not_needed';

    protected $casts = ['kind' => FollowKind::class, 'choices' => 'array', 'at' => AsInstant::class];

    /** Whether somebody still answers it by name; a card is signed instead. */
    public function waits(): bool
    {
        return $this->kind->asks() && $this->state === self::OPEN;
    }

    /** Whether its answer can still be called a mistake: nothing rests on it yet. */
    public function reopens(FindingProgress $of): bool
    {
        return $this->kind->asks() && $this->state !== self::OPEN && $this->led_to === null && $of === Finding::OPEN;
    }

    /** @return BelongsTo<Finding, $this> */
    public function finding(): BelongsTo
    {
        return $this->belongsTo(Finding::class);
    }

    /** @return BelongsTo<FollowRule, $this> */
    public function rule(): BelongsTo
    {
        return $this->belongsTo(FollowRule::class, 'rule_id');
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Finding, $this> */
    public function led(): BelongsTo
    {
        return $this->belongsTo(Finding::class, 'led_to');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
