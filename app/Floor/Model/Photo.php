<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Shared\Model;

/**
 * A photo of a finding, on disk under its own hash.
 *
 * @property int $id
 * @property int $finding_id
 * @property int $person_id
 * @property string $file within the photos' folder
 * @property string $mime
 * @property int $bytes
 * @property string $sha256
 * @property string $at
 */
final class Photo extends Model {}
