<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Shared\Model;

/**
 * Where aircraft live, and what that does to them.
 *
 * @property string $name
 * @property int $outside places for aircraft that are worked on without a roof
 * @property list<string> $conditions harsh conditions every aircraft based here meets, e.g. `salt`
 */
final class Base extends Model
{
    public $incrementing = false;

    protected $primaryKey = 'name';

    protected $keyType = 'string';

    protected $casts = ['conditions' => 'array'];
}
