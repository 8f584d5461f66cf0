<?php

declare(strict_types=1);

namespace App\Crew\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use Jorvel\Core\Shared\Day;

/**
 * A skill, a type rating or an authority, with the last day on which it stands.
 *
 * @property int $person_id
 * @property string $kind `skill`, `rating` or `authority`
 * @property string $value
 * @property Day|null $valid_until
 * @property string $paper what it rests on
 */
final class Qualification extends Model
{
    protected $casts = [
        'valid_until' => AsDay::class,
    ];
}
