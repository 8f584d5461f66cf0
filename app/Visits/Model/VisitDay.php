<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\Model;

/**
 * When a visit's exit was forecast on a day, and what moved it last.
 *
 * @property int $visit_id
 * @property string $date
 * @property string|null $exit
 * @property string $why
 */
final class VisitDay extends Model {}
