<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $type_id
 * @property string $code
 * @property string $title
 * @property int $revision the one now in force
 * @property-read Collection<int, ManualRevision> $revisions the latest first
 */
final class Manual extends Model
{
    /** @return HasMany<ManualRevision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(ManualRevision::class)->orderByDesc('revision');
    }

    /** The text of a section at a revision; null where it is not kept. Load `revisions.passages` first. */
    public function passage(int $revision, string $section): ?Passage
    {
        return $this->revisions->firstWhere('revision', $revision)?->passages->firstWhere('section', $section);
    }
}
