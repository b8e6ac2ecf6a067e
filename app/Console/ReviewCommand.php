<?php

declare(strict_types=1);

namespace App\Console;

use Gorvan\Core\Term\ChosenPassage;
use Gorvan\Core\Term\ReviewChooser;
use Gorvan\Core\Term\ReviewFile;

/** Chooses what to review (docs/formats/commands.md). */
final class ReviewCommand extends FileCommand
{
    protected $signature = 'gorvan:review
        {file? : What each entry is worth, the minutes it takes, and the minutes there are}
        {--json : Print JSON}';

    protected $description = 'Choose the passages that are worth most within some minutes';

    protected function answer(string $text, string $file): int
    {
        $read = ReviewFile::read($text);
        $choice = (new ReviewChooser)->choose($read->problem);
        if ($this->option('json')) {
            $this->warningsBeside($read->warnings);

            return $this->json([
                'value' => $choice->value(),
                'worth' => $choice->worth(),
                'minutes' => $choice->minutes(),
                'passages' => array_map(static fn (ChosenPassage $one): array => ['from' => $one->passage->from, 'to' => $one->passage->to, 'minutes' => $one->minutes, 'value' => $one->value, 'worth' => $one->worth], $choice->passages),
            ]);
        }
        $this->table(['From', 'To', 'Minutes', 'Value', 'Worth'], array_map(
            static fn (ChosenPassage $one): array => [$one->passage->from, $one->passage->to, $one->minutes, sprintf('%.3f', $one->value), sprintf('%.3f', $one->worth)],
            $choice->passages,
        ));
        $this->warnings($read->warnings);

        return self::SUCCESS;
    }
}
