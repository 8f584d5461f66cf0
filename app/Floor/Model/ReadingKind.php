<?php

declare(strict_types=1);

namespace App\Floor\Model;

/** A reading by itself, or of a rigging run: before anything was turned, or after. */
enum ReadingKind: string
{
    case Reading = 'reading';
    case AsFound = 'as_found';
    case AsLeft = 'as_left';
}
