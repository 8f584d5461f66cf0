<?php

declare(strict_types=1);

// The router of PHP's own web server: files under public/ as they are, everything else through the application.
$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
if ($path !== '/' && is_file(__DIR__.'/public'.$path)) {
    return false;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
require __DIR__.'/public/index.php';
