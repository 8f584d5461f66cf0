<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Builder;
use Jorvel\Core\Library\ExceededTable;
use Jorvel\Core\Library\FollowRule as Rule;
use Jorvel\Core\Shared\Instant;

/**
 * A version of a rule of what follows.
 *
 * @property int $id
 * @property int $type_id
 * @property string $code
 * @property int $version
 * @property array<string, mixed> $body as in core/schema/follows.json
 * @property string $state `proposed`, `in_force`, `replaced`, `declined`, `withdrawn`
 * @property int $proposed_by
 * @property Instant $proposed_at
 * @property string $reason for the change
 * @property int|null $decided_by
 * @property Instant|null $decided_at
 * @property string $why it was declined or withdrawn
 * @property-read AircraftType $type
 * @property-read Person $proposer
 * @property-read Person|null $decider
 */
final class FollowRule extends Model
{
    use Proposed;

    public const PROPOSED = 'proposed';

    public const IN_FORCE = 'in_force';

    protected $casts = ['body' => 'array', 'proposed_at' => AsInstant::class, 'decided_at' => AsInstant::class];

    /** @return Builder<FollowRule> those of a type by which is gone */
    public static function inForce(int $typeId): Builder
    {
        return self::where(['type_id' => $typeId, 'state' => self::IN_FORCE])->orderBy('code');
    }

    /**
     * The tables of the limits of a type that are in force.
     *
     * @return array<string, ExceededTable> by the code of their rule
     */
    public static function tables(int $typeId): array
    {
        $tables = [];
        foreach (self::inForce($typeId)->get() as $rule) {
            $table = $rule->rule()->exceeded;
            $tables += $table === null ? [] : [$rule->code => $table];
        }

        return $tables;
    }

    public function rule(): Rule
    {
        return Rule::of($this->object());
    }

    /** As its schema wants it. */
    public function object(): \stdClass
    {
        return json_decode((string) json_encode($this->body), false, 64);
    }
}
