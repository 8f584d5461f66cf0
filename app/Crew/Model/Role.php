<?php

declare(strict_types=1);

namespace App\Crew\Model;

/** What a person may do in the application; a licence is something else and is judged by qualifications. */
enum Role: string
{
    case Controller = 'controller';
    case Technician = 'technician';
    case Inspector = 'inspector';
    case Certifier = 'certifier';
    case Viewer = 'viewer';
}
