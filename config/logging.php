<?php

declare(strict_types=1);
use Monolog\Handler\NullHandler;

return [
    'default' => 'single',
    'deprecations' => ['channel' => 'null', 'trace' => false],
    'channels' => [
        'single' => [
            'driver' => 'single', 'path' => storage_path('logs/jorvel.log'), 'level' => env('LOG_LEVEL', 'warning'),
        ],
        'null' => ['driver' => 'monolog', 'handler' => NullHandler::class],
    ],
];
