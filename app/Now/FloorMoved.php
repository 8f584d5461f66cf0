<?php

declare(strict_types=1);

namespace App\Now;

/** Something happened at the aircraft between asking and committing; it is loaded and asked again. */
final class FloorMoved extends \RuntimeException {}
