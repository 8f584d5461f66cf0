<?php

declare(strict_types=1);

namespace App\Bench\Model;

use App\Floor\Model\Finding;
use App\Floor\Model\TestAttempt;
use App\Library\Model\FaultTree;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Bench\TreeNode;
use Jorvel\Core\Shared\Instant;

/**
 * The way through a fault tree that was taken for a finding.
 *
 * @property int $id
 * @property int $finding_id
 * @property int $tree_id the version that it was begun by
 * @property int|null $attempt_id whose failure began it
 * @property list<array{node: string, branch: string, title: string, said: string, by: string, at: string,
 *   cause?: string}> $path
 * @property string|null $cause
 * @property Instant|null $ended_at
 * @property int $version counts every change
 * @property-read Finding $finding
 * @property-read FaultTree $tree
 * @property-read TestAttempt|null $attempt
 */
final class FaultWalk extends Model
{
    protected $casts = ['path' => 'array', 'ended_at' => AsInstant::class];

    /** The question that is open; null once it has ended. */
    public function here(): ?TreeNode
    {
        return $this->ended_at === null ? $this->tree->tree()->at($this->path) : null;
    }

    /** @return BelongsTo<Finding, $this> */
    public function finding(): BelongsTo
    {
        return $this->belongsTo(Finding::class);
    }

    /** @return BelongsTo<FaultTree, $this> */
    public function tree(): BelongsTo
    {
        return $this->belongsTo(FaultTree::class, 'tree_id');
    }

    /** @return BelongsTo<TestAttempt, $this> */
    public function attempt(): BelongsTo
    {
        return $this->belongsTo(TestAttempt::class, 'attempt_id');
    }
}
