<?php

declare(strict_types=1);

namespace App\Console;

use Gorvan\Core\Standing\Watched;
use Gorvan\Core\Standing\WatchFile;

/** Says whom to look at (docs/formats/commands.md). */
final class WatchCommand extends FileCommand
{
    protected $signature = 'gorvan:watch
        {file? : The students, what they may still know, and what is on tonight}
        {--json : Print JSON}';

    protected $description = 'Say whom to look at tonight, and in what';

    protected function answer(string $text, string $file): int
    {
        $read = WatchFile::read($text);
        if ($this->option('json')) {
            $this->warningsBeside($read->warnings);

            return $this->json(['watch' => array_map(static fn (Watched $one): array => [
                'student' => $one->student, 'passage' => $one->passage, 'unsure' => $one->unsure, 'rank' => $one->rank, 'why' => $one->why->value,
            ], $read->list->watch)]);
        }
        $this->table(['Student', 'Passage', 'Unsure', 'Rank', 'Why'], array_map(
            static fn (Watched $one): array => [$one->student, implode(' ', $one->passage), sprintf('%.3f', $one->unsure), sprintf('%.3f', $one->rank), $one->why->value],
            $read->list->watch,
        ));
        $this->warnings($read->warnings);

        return self::SUCCESS;
    }
}
