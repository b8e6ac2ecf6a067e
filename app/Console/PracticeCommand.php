<?php

declare(strict_types=1);

namespace App\Console;

use Gorvan\Core\Practice\PracticeFile;
use Gorvan\Core\Practice\PracticePassage;
use Gorvan\Core\Practice\PracticePlanner;
use Gorvan\Core\Reading\Day;

/** Chooses what somebody practises until the next meeting (docs/formats/commands.md). */
final class PracticeCommand extends FileCommand
{
    protected $signature = 'gorvan:practice
        {file? : A practice problem}
        {--json : Print JSON}';

    protected $description = 'Choose the passages that are worth most between two meetings, and the days to practise them';

    protected function answer(string $text, string $file): int
    {
        $read = PracticeFile::read($text);
        $plan = (new PracticePlanner)->plan($read->request);
        $days = array_map(Day::text(...), $plan->days);
        if ($this->option('json')) {
            $this->warningsBeside($read->warnings);

            return $this->json([
                'days' => $days,
                'passages' => array_map(static fn (PracticePassage $one): array => ['from' => $one->passage->from, 'to' => $one->passage->to, 'minutes' => $one->minutes, 'value' => $one->value], $plan->passages),
                'value' => $plan->value(),
            ]);
        }
        $this->line(implode(' ', $days));
        $this->table(['From', 'To', 'Minutes', 'Value', 'Recall without', 'with'], array_map(
            static fn (PracticePassage $one): array => [$one->passage->from, $one->passage->to, $one->minutes, sprintf('%.3f', $one->value), sprintf('%.3f', $one->recallWithout), sprintf('%.3f', $one->recallWith)],
            $plan->passages,
        ));
        $this->warnings($read->warnings);

        return self::SUCCESS;
    }
}
