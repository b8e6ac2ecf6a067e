<?php

declare(strict_types=1);

/*
 * Four functions of PHP 8.5 that the framework calls. The package that usually supplies them is not
 * served by every registry, so they stand here (docs/decisions/0002-dependencies.md).
 */

if (! function_exists('array_first')) {
    /**
     * The first value of an array, or null when it is empty.
     *
     * @param  array<mixed>  $array
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
     * @param  array<mixed>  $array
     */
    function array_last(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_last($array)];
    }
}

if (! function_exists('get_error_handler')) {
    /** The error handler now in force, which stays in force. */
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(static fn (): bool => false);
        restore_error_handler();

        return $handler;
    }
}

if (! function_exists('get_exception_handler')) {
    /** The exception handler now in force, which stays in force. */
    function get_exception_handler(): ?callable
    {
        $handler = set_exception_handler(null);
        restore_exception_handler();

        return $handler;
    }
}
