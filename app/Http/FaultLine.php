<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use PDOException;
use Throwable;

/** A fault as one line of the log: what, where, and asked by which route; never with a value that somebody sent or that is kept. */
final class FaultLine
{
    /** Characters of the longest part. */
    private const MOST = 400;

    /** Frames of the application that led there. */
    private const FRAMES = 4;

    public static function write(Throwable $e): void
    {
        $route = request()->route()?->uri(); // none in a command
        $line = array_filter([
            'what' => $e::class,
            'at' => self::place($e->getFile(), $e->getLine()),
            'through' => implode(' < ', self::frames($e)),
            'sql' => $e instanceof QueryException ? Str::limit(self::spaced($e->getSql()), self::MOST) : null,
            'route' => $route === null ? null : request()->method()." /$route",
        ], static fn (?string $part): bool => $part !== null && $part !== '');
        Log::log(DatabaseAway::is($e) ? 'warning' : 'error', Str::limit(self::message($e), self::MOST), $line);
    }

    /** PostgreSQL repeats values in quotes, and after DETAIL; Laravel puts them into the SQL. */
    private static function message(Throwable $e): string
    {
        $database = $e instanceof QueryException && $e->getPrevious() !== null ? $e->getPrevious() : $e;
        $text = self::spaced($database->getMessage());

        return $database instanceof PDOException ? (string) preg_replace(['/\s*(?:DETAIL|CONTEXT|LINE \d+|HINT):.*$/s', '/: "[^"]*"/'], ['', ''], $text) : $text;
    }

    /** @return list<string> */
    private static function frames(Throwable $e): array
    {
        $frames = [];
        foreach ($e->getTrace() as $frame) {
            $file = $frame['file'] ?? '';
            if (str_starts_with($file, app_path()) || str_starts_with($file, base_path('core'))) {
                $frames[] = self::place($file, $frame['line'] ?? 0);
            }
        }

        return array_slice($frames, 0, self::FRAMES);
    }

    private static function place(string $file, int $line): string
    {
        return Str::after($file, base_path().'/').":$line";
    }

    private static function spaced(string $text): string
    {
        return trim((string) preg_replace('/\s+/', ' ', $text));
    }
}
