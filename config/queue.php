<?php

declare(strict_types=1);

// Long planning runs in a worker of its own; a job that a crashed worker held is free again after `retry_after`.
return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => [
            'driver' => 'database', 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 90,
            'after_commit' => true,
        ],
    ],
    'failed' => ['driver' => 'null'],
];
