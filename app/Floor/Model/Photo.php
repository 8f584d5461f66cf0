<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Instant;

/**
 * A photo of a finding, or one that goes with a word at a step, on disk under its own hash.
 *
 * @property int $id
 * @property int|null $finding_id
 * @property int $person_id
 * @property string $file within the photos' folder
 * @property string $mime
 * @property int $bytes
 * @property string $sha256
 * @property Instant $at
 */
final class Photo extends Model
{
    protected $casts = [
        'at' => AsInstant::class,
    ];
}
