<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Database\Eloquent\Model as Eloquent;

/**
 * The base of every model: filled only by actions, so nothing is guarded, and a lazy query in a loop is an error
 * outside production.
 */
abstract class Model extends Eloquent
{
    use QuickColumns;

    public $timestamps = false;

    protected $guarded = [];
}
