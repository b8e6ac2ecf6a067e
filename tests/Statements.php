<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Listens to every statement of the application while it is tested: each that touches rows of schools says of which school,
 * once for each table it names. What was heard is written to var/statements, where the bench finds it (bin/bench --scale).
 */
final class Statements
{
    /** @var array<string, true> */
    private static array $heard = [];

    /** @var list<string> tables whose rows belong to a school */
    private static array $tables = [];

    /** @var list<string> what named no school since it was last asked */
    private static array $nameless = [];

    public static function listen(): void
    {
        DB::listen(static function (QueryExecuted $query): void {
            if (! isset(self::$heard[$query->sql]) && preg_match('/^\s*(?:select|with|insert|update|delete)\b/i', $query->sql) === 1) {
                self::hear($query->sql);
            }
        });
    }

    /** @return list<string> */
    public static function nameless(): array
    {
        [$found, self::$nameless] = [self::$nameless, []];

        return $found;
    }

    public static function isNamed(string $sql): bool
    {
        preg_match_all('/\b(?:from|join|into|update)\s+(?:only\s+)?"?(\w+)"?/i', $sql, $found);
        $rows = count(array_intersect($found[1], self::$tables));

        return $rows <= preg_match_all('/\bschool_id\b/', $sql);
    }

    private static function hear(string $sql): void
    {
        self::$tables = self::$tables === [] ? self::tables() : self::$tables;
        if (! self::isOurs()) {
            return; // what a test asks by itself
        }
        if (self::$heard === []) {
            register_shutdown_function(self::write(...));
        }
        self::$heard[$sql] = true;
        if (! self::isNamed($sql)) {
            self::$nameless[] = $sql;
        }
    }

    private static function isOurs(): bool
    {
        foreach (debug_backtrace(DEBUG_BACKTRACE_IGNORE_ARGS) as $frame) {
            $file = Str::after($frame['file'] ?? '', base_path().'/');
            if (preg_match('~^(?:app|core|database/demo)/~', $file) === 1) {
                return true;
            }
            if (str_starts_with($file, 'tests/') && $file !== 'tests/Statements.php') {
                return false;
            }
        }

        return false;
    }

    /** @return list<string> */
    private static function tables(): array
    {
        return array_column(DB::connection()->getPdo()->query("select table_name from information_schema.columns where column_name = 'school_id' and table_schema = 'public'")->fetchAll(\PDO::FETCH_ASSOC), 'table_name');
    }

    private static function write(): void
    {
        $folder = dirname(__DIR__).'/var/statements';
        is_dir($folder) || mkdir($folder, recursive: true);
        $lines = array_map(static fn (string $sql): string => json_encode($sql, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), array_keys(self::$heard));
        file_put_contents("$folder/".(getenv('TEST_TOKEN') ?: '0').'.jsonl', implode("\n", $lines)."\n");
    }
}
