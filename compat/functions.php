<?php

declare(strict_types=1);

/*
 * The four functions of PHP 8.4 and 8.5 that the framework calls, for PHP 8.2.
 * See compat/README.md.
 */

if (! function_exists('array_first')) {
    /**
     * The first value of an array, or null when it is empty.
     *
     * @param array<array-key, mixed> $array
     */
    function array_first(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_first($array)];
    }
}

if (! function_exists('array_last')) {
    /**
     * The last value of an array, or null when it is empty.
     *
     * @param array<array-key, mixed> $array
     */
    function array_last(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_last($array)];
    }
}

if (! function_exists('get_error_handler')) {
    /** The error handler now set, or null; PHP 8.2 can only tell by setting another for a moment. */
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(static fn(): bool => false);
        restore_error_handler();

        return $handler;
    }
}

if (! function_exists('get_exception_handler')) {
    /** The exception handler now set, or null; found in the same way. */
    function get_exception_handler(): ?callable
    {
        $handler = set_exception_handler(static function (): void {});
        restore_exception_handler();

        return $handler;
    }
}
