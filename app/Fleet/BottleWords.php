<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Fleet\Model\Component;

/** What a bottle's trend is called where due items stand. */
final class BottleWords
{
    public const CODE = 'trend';

    public const CHAPTER = '';

    public static function title(Component $bottle): string
    {
        return "{$bottle->name()} runs low";
    }
}
