<?php

declare(strict_types=1);

test('the functions of PHP 8.5 that the framework calls are there', function () {
    expect(array_first(['a' => 1, 'b' => 2]))->toBe(1)->and(array_first([]))->toBeNull()
        ->and(array_last(['a' => 1, 'b' => 2]))->toBe(2)->and(array_last([]))->toBeNull();
});

test('asking for a handler leaves it in force', function () {
    $error = fn (): bool => true;
    set_error_handler($error);
    expect(get_error_handler())->toBe($error)->and(get_error_handler())->toBe($error);
    restore_error_handler();
    $exception = fn () => null;
    set_exception_handler($exception);
    expect(get_exception_handler())->toBe($exception)->and(get_exception_handler())->toBe($exception);
    restore_exception_handler();
});
