<?php

declare(strict_types=1);

namespace App\Crew\Model;

use App\Shared\Model;
use Jorvel\Core\Crew\Shift;

/**
 * A shift's hours, local, within one day.
 *
 * @property string $code
 * @property string $from_time
 * @property string $until_time
 */
final class ShiftHours extends Model
{
    public $incrementing = false;

    protected $table = 'shifts';

    protected $primaryKey = 'code';

    protected $keyType = 'string';

    /** @return array<string, Shift> by code */
    public static function byCode(): array
    {
        return self::orderBy('from_time')->get()
            ->mapWithKeys(static fn(self $s): array => [$s->code => new Shift($s->from_time, $s->until_time)])
            ->all();
    }
}
