<?php

declare(strict_types=1);

// One class of the core is read from another file than its own: the mutant's.
require dirname(__DIR__, 2).'/vendor/autoload.php';
spl_autoload_register(static function (string $class): void {
    if ($class === getenv('MUTANT_CLASS')) {
        require (string) getenv('MUTANT_FILE');
    }
}, true, true);
