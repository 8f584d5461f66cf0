<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Shared\Model;

/**
 * A defect that the type's approved list allows to be carried, and on what terms.
 *
 * @property int $id
 * @property int $type_id
 * @property string $code
 * @property string $title
 * @property string $chapter
 * @property string $category
 * @property array<string, float> $limits as in the `clock` kind
 * @property string $conditions
 * @property string|null $procedure what makes the system safe first
 * @property string $placard
 */
final class ListedItem extends Model
{
    protected $casts = ['limits' => 'array'];
}
