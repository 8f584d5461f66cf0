<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Builder;
use Jorvel\Core\Bench\FaultTree as Tree;
use Jorvel\Core\Shared\Instant;

/**
 * A version of a fault tree.
 *
 * @property int $id
 * @property int $type_id
 * @property string $code
 * @property int $version
 * @property string $title
 * @property string $source in the approved data
 * @property list<array<string, mixed>> $nodes as in core/schema/tree.json
 * @property string $state `proposed`, `in_force`, `replaced`, `declined`
 * @property string $reason for the change
 * @property int $proposed_by
 * @property Instant $proposed_at
 * @property int|null $decided_by
 * @property Instant|null $decided_at
 * @property-read AircraftType $type
 * @property-read Person $proposer
 * @property-read Person|null $decider
 */
final class FaultTree extends Model
{
    use Proposed;

    public const PROPOSED = 'proposed';

    public const IN_FORCE = 'in_force';

    protected $casts = ['nodes' => 'array', 'proposed_at' => AsInstant::class, 'decided_at' => AsInstant::class];

    public function tree(): Tree
    {
        return Tree::from($this->nodes);
    }

    /** @return Builder<FaultTree> those of a type that are in force */
    public static function latest(int $typeId): Builder
    {
        return self::where(['type_id' => $typeId, 'state' => self::IN_FORCE])->orderBy('code');
    }
}
