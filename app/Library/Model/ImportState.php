<?php

declare(strict_types=1);

namespace App\Library\Model;

/** A file is previewed, and then applied or left. */
enum ImportState: string
{
    case Previewed = 'previewed';
    case Applied = 'applied';
}
