<?php

declare(strict_types=1);

namespace App\Console;

use App\Words;
use DateTimeImmutable;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\RecordReader;
use Gorvan\Core\Record\Support;

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
            return $this->wrong(Words::of(Message::of('cli.on', text: $on)));
        }
        $read = (new RecordReader)->read($text);
        $on ??= (new DateTimeImmutable('now', $read->zone))->format('Y-m-d');
        $day = Day::number($on);
        $tracks = [];
        foreach ((new Replay)->until($read->record, $day, static fn (): bool => false) as $entry => $of) {
            $tracks[$entry] = $of->whole ?? new Track;
        }
        if ($this->option('json')) {
            $this->warningsBeside($read->warnings);

            return $this->json(['on' => $on, 'entries' => (object) array_map(static fn (Track $track): array => self::data($track, $day), $tracks)]);
        }
        $this->line("On $on");
        $this->table(['Entry', 'Support', 'Recall', 'Stability (days)', 'Difficulty', 'Last', 'Updates'], array_map(
            static fn (int|string $entry, Track $track): array => [
                $entry,
                $track->level instanceof Support ? $track->level->name : 'never marked',
                self::rounded($track->recallOn($day, new MemoryModel), 3),
                self::rounded($track->state?->stability, 2),
                self::rounded($track->state?->difficulty, 2),
                $track->last === null ? '' : Day::text($track->last),
                $track->updates,
            ],
            array_keys($tracks),
            $tracks,
        ));
        $this->warnings($read->warnings);

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private static function data(Track $track, int $day): array
    {
        return [
            'support' => $track->level instanceof Support ? $track->level->name : null,
            'stability' => $track->state?->stability,
            'difficulty' => $track->state?->difficulty,
            'recall' => $track->recallOn($day, new MemoryModel),
            'last' => $track->last === null ? null : Day::text($track->last),
            'updates' => $track->updates,
        ];
    }

    private static function rounded(?float $value, int $places): string
    {
        return $value === null ? '–' : number_format($value, $places, '.', '');
    }
}
