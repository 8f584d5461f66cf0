<?php

declare(strict_types=1);

namespace App\Crew\Model;

use App\Crew\Do\ShiftSlots;
use App\Shared\Model;

/**
 * Somebody in a slot of a shift.
 *
 * @property int $id
 * @property int $crew_id
 * @property int|null $card_id null for a slot that certifies a visit
 * @property string $slot see {@see ShiftSlots}
 * @property int $person_id
 */
final class ShiftPlace extends Model {}
