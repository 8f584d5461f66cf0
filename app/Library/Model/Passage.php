<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Shared\Model;

/**
 * The text of one section at one revision.
 *
 * @property int $revision_id
 * @property string $section
 * @property string $title
 * @property string $text
 */
final class Passage extends Model
{
    protected $table = 'manual_passages';
}
