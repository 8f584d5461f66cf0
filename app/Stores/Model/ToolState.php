<?php

declare(strict_types=1);

namespace App\Stores\Model;

/** Where a tool is in its life; whether it is lent is told by its loans. */
enum ToolState: string
{
    case In = 'in';
    case AtCalibration = 'calibration';
    case Recalled = 'recalled';
    case OutOfUse = 'gone';
}
