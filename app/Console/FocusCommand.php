<?php

declare(strict_types=1);

namespace App\Console;

use App\Words;
use Gorvan\Core\Term\FocusFile;
use Gorvan\Core\Term\PlannedFocus;

/** Proposes what each meeting works on beside the sequence (docs/formats/commands.md). */
final class FocusCommand extends FileCommand
{
    protected $signature = 'gorvan:focus
        {file? : The principles, where they bite, and the meetings with their entries}
        {--json : Print JSON}';

    protected $description = 'Propose the focus of each meeting';

    protected function answer(string $text, string $file): int
    {
        $read = FocusFile::read($text);
        $laid = $read->laid();
        if ($this->option('json')) {
            $this->warningsBeside($read->warnings);

            return $this->json(['meetings' => array_map(static fn (int $at): array => [
                'on' => $read->meetings[$at]->on,
                'focus' => array_map(self::one(...), $laid[$at]),
            ], array_keys($laid))]);
        }
        $rows = [];
        foreach ($laid as $at => $focus) {
            foreach ($focus as $one) {
                $rows[] = [$read->meetings[$at]->on, $one->principle, sprintf('%.3f', $one->mean), sprintf('%.3f', $one->bite), $one->why === null ? '' : Words::of($one->why)];
            }
        }
        $this->table(['Meeting', 'Focus', 'Mean', 'Bite', 'Why'], $rows);
        $this->warnings($read->warnings);

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private static function one(PlannedFocus $focus): array
    {
        return ['principle' => $focus->principle, 'new' => $focus->isNew, 'mean' => $focus->mean, 'bite' => $focus->bite, 'why' => $focus->why === null ? null : Words::of($focus->why)];
    }
}
