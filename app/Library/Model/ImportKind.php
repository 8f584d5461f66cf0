<?php

declare(strict_types=1);

namespace App\Library\Model;

/** What a file that is brought in is. */
enum ImportKind: string
{
    case Programme = 'programme';
    case ProgrammeCsv = 'programme-csv';
    case Revision = 'revision';
    case Flying = 'flying';
    case Sectors = 'sectors';
    case Cards = 'cards';
    case Follows = 'follows';
    case Listed = 'listed';
    case ListedCsv = 'listed-csv';
}
