<?php

declare(strict_types=1);

namespace App\Console;

use DateTimeImmutable;
use Gorvan\Core\Memory\RecordReader;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Memory\Standing;
use Gorvan\Core\Reading\Instant;

/** Replays a record of marks and contact into standings (docs/formats/commands.md). */
final class RecallCommand extends FileCommand
{
    protected $signature = 'gorvan:recall
        {file? : An events file}
        {--on= : The day, YYYY-MM-DD; today in the file\'s zone unless said}
        {--json : Print JSON}';

    protected $description = 'Say what one student should still hold on a day';

    protected function answer(string $text, string $file): int
    {
        $on = $this->text('on');
        if ($on !== null && ! Instant::isDay($on)) {
            return $this->wrong("--on: \"$on\" is not a day like 2026-03-01");
        }
        $record = (new RecordReader)->read($text);
        $on ??= (new DateTimeImmutable('now', $record->zone))->format('Y-m-d');
        $standings = (new Replay($record->zone))->on($record->facts, $on);
        if ($this->option('json')) {
            $this->warningsBeside($record->warnings);

            return $this->json(['on' => $on, 'entries' => (object) array_map(self::data(...), $standings)]);
        }
        $this->line("On $on");
        $this->table(['Entry', 'Support', 'Recall', 'Stability (days)', 'Difficulty', 'Last', 'Updates'], array_map(
            static fn (int|string $entry, Standing $standing): array => [
                $entry,
                $standing->support->name ?? 'never marked',
                self::rounded($standing->recall, 3),
                self::rounded($standing->state?->stability, 2),
                self::rounded($standing->state?->difficulty, 2),
                $standing->last,
                $standing->updates,
            ],
            array_keys($standings),
            $standings,
        ));
        $this->warnings($record->warnings);

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private static function data(Standing $standing): array
    {
        return [
            'support' => $standing->support?->name,
            'stability' => $standing->state?->stability,
            'difficulty' => $standing->state?->difficulty,
            'recall' => $standing->recall,
            'last' => $standing->last,
            'updates' => $standing->updates,
        ];
    }

    private static function rounded(?float $value, int $places): string
    {
        return $value === null ? '–' : number_format($value, $places, '.', '');
    }
}
