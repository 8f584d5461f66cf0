<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A manual as it stands from one issue on.
 *
 * @property int $id
 * @property int $manual_id
 * @property int $revision
 * @property string $issued
 * @property string $summary
 * @property list<array{of: string, method: string, steps: list<array<string, mixed>>}> $methods that it proposes for
 * card templates
 * @property-read Collection<int, Passage> $passages
 */
final class ManualRevision extends Model
{
    protected $casts = ['methods' => 'array'];

    /** @return HasMany<Passage, $this> */
    public function passages(): HasMany
    {
        return $this->hasMany(Passage::class, 'revision_id')->orderBy('section');
    }

    /**
     * @return array{of: string, method: string, steps: list<array<string, mixed>>}|null what it proposes for a template
     */
    public function methodFor(CardTemplate $template): ?array
    {
        return array_column($this->methods, null, 'of')[$template->code] ?? null;
    }
}
