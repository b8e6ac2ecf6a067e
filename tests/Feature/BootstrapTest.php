<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

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

test('the TypeScript types of the API are those of the code', function () {
    $fresh = tempnam(sys_get_temp_dir(), 'types');
    $process = new Process([base_path('bin/types'), $fresh], base_path());
    $process->mustRun();
    expect(file_get_contents($fresh))->toBe(file_get_contents(base_path('resources/js/api/schema.d.ts')));
    unlink($fresh);
});

test('every route of the API is described, and nothing else is', function () {
    $process = new Process(['php', base_path('artisan'), 'gorvan:openapi'], base_path());
    $process->mustRun();
    $described = [];
    foreach (json_decode($process->getOutput(), true)['paths'] as $path => $methods) {
        foreach (array_keys($methods) as $method) {
            $described[] = strtoupper($method).' '.$path;
        }
    }
    $routes = [];
    foreach (Illuminate\Support\Facades\Route::getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'api/')) {
            $routes[] = $route->methods()[0].' /'.$route->uri();
        }
    }
    expect($described)->toEqualCanonicalizing($routes);
});
