<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Shared\Model;

/**
 * A file that was looked at and may be applied.
 *
 * @property int $id
 * @property int $person_id
 * @property ImportKind $kind
 * @property string $name of the file
 * @property string $payload the file's text
 * @property string $made_from fingerprint of what the preview was made against
 * @property ImportState $state
 */
final class Import extends Model
{
    protected $casts = ['kind' => ImportKind::class, 'state' => ImportState::class];
}
