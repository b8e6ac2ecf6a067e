<?php

declare(strict_types=1);

// PHP's own server asks this file first: built files are handed out as they are, with a long life (their names carry
// a hash), and everything else goes to the application.
$path = is_string($_SERVER['REQUEST_URI'] ?? null) ? (string) parse_url($_SERVER['REQUEST_URI'], PHP_URL_PATH) : '/';
$file = realpath(dirname(__DIR__, 2).'/public'.rawurldecode($path));
$public = realpath(dirname(__DIR__, 2).'/public');

if ($file !== false && $public !== false && is_file($file) && str_starts_with($file, $public.DIRECTORY_SEPARATOR) && ! str_ends_with($file, '.php')) {
    if ($path === '/sw.js') {
        // The worker that keeps the pages is never kept itself: a new version of it must be seen at once.
        header('Content-Type: text/javascript');
        header('Cache-Control: no-cache, no-store');
        header('X-Content-Type-Options: nosniff');
        readfile($file);

        return true;
    }
    if (! str_starts_with($path, '/build/assets/')) {
        return false;
    }
    $types = ['js' => 'text/javascript', 'css' => 'text/css', 'woff2' => 'font/woff2', 'woff' => 'font/woff', 'svg' => 'image/svg+xml'];
    header('Content-Type: '.($types[pathinfo($file, PATHINFO_EXTENSION)] ?? 'application/octet-stream'));
    header('Cache-Control: public, max-age=31536000, immutable');
    header('X-Content-Type-Options: nosniff');
    readfile($file);

    return true;
}

require $public.'/index.php';
