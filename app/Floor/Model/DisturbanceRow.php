<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Shared\Model;
use Jorvel\Core\Now\Disturbance;

/**
 * That something was disturbed, joined or proven; read as {@see Disturbance}.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property int|null $component_id that it is of, and goes along with
 * @property string $what
 * @property string $act
 * @property list<string>|null $needs
 * @property int $card_id
 * @property int|null $step_id
 * @property bool $stands false once its step was taken back
 * @property bool $settled it is whole again since; a help for reading, worked out anew with all that happens
 */
final class DisturbanceRow extends Model
{
    protected $table = 'disturbances';

    protected $casts = ['needs' => 'array', 'stands' => 'boolean', 'settled' => 'boolean'];
}
