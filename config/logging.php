<?php

declare(strict_types=1);

use Monolog\Formatter\JsonFormatter;

/* One fault is one line, a file a day, read by whoever serves and nobody else; after two weeks a file goes. */

return [
    'default' => env('LOG_CHANNEL', 'lines'),
    'channels' => [
        'lines' => [
            'driver' => 'daily',
            'path' => storage_path('logs/gorvan.log'),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 14,
            'permission' => 0600,
            'formatter' => JsonFormatter::class,
            'formatter_with' => ['includeStacktraces' => false],
            'replace_placeholders' => true,
        ],
    ],
];
