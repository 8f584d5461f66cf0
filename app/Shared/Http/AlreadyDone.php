<?php

declare(strict_types=1);

namespace App\Shared\Http;

/**
 * The same intention was carried out by another process while this one worked at it; what this one did is taken back.
 */
final class AlreadyDone extends \RuntimeException {}
