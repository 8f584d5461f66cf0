<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\PastLook;

/**
 * What an inspection of the past turned up; a visit that is released adds its own.
 *
 * @property int $type_id
 * @property int|null $visit_id
 * @property string $mark
 * @property string $title
 * @property Day $ended
 * @property float $hours looked
 * @property int $findings
 * @property list<float> $fix_hours
 */
final class PastVisit extends Model
{
    protected $table = 'past_looks';

    protected $casts = [
        'ended' => AsDay::class,
        'hours' => 'float', 'fix_hours' => 'array'];

    public function look(): PastLook
    {
        return new PastLook($this->hours, $this->findings, array_map(floatval(...), $this->fix_hours));
    }
}
