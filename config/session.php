<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'quiet'),
    'lifetime' => 720,
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'connection' => null,
    'table' => 'sessions',
    'store' => null,
    'lottery' => [2, 100],
    'cookie' => 'jorvel_session',
    'path' => '/',
    'domain' => null,
    // Over HTTPS the cookie stays there; over plain HTTP on this machine there is nothing else.
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
