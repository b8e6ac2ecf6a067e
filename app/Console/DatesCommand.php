<?php

declare(strict_types=1);

namespace App\Console;

use App\Words;
use Gorvan\Core\Term\MeetingDate;
use Gorvan\Core\Term\TermDates;
use Gorvan\Core\Term\TermReader;

/** Lists the meetings of a term (docs/formats/commands.md). */
final class DatesCommand extends FileCommand
{
    protected $signature = 'gorvan:dates
        {file? : A term file}
        {--json : Print JSON}';

    protected $description = 'List the meetings of a term, its closures left out';

    protected function answer(string $text, string $file): int
    {
        $dates = TermDates::of((new TermReader)->read($text));
        if ($this->option('json')) {
            return $this->json([
                'meetings' => array_map(static fn (MeetingDate $date): array => ['on' => $date->on, 'starts' => $date->starts->format(DATE_ATOM), 'minutes' => $date->minutes], $dates->meetings),
                'warnings' => array_map(Words::of(...), $dates->warnings),
            ]);
        }
        $this->table(['', 'Day', 'Starts', 'Minutes'], array_map(
            static fn (int $at, MeetingDate $date): array => [$at + 1, $date->starts->format('D Y-m-d'), $date->starts->format('H:i P'), $date->minutes],
            array_keys($dates->meetings),
            $dates->meetings,
        ));
        $this->warnings($dates->warnings);

        return self::SUCCESS;
    }
}
