<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\ReadForm;
use App\Words;
use DateTimeImmutable;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Standing\EntryStanding;
use Gorvan\Core\Standing\NotReadyEntry;
use Gorvan\Core\Standing\StandingFile;
use Gorvan\Core\Standing\StudentStanding;
use Gorvan\Core\Standing\TrackStanding;

/** Says where the students of a group stand in a form (docs/formats/commands.md). */
final class StandingCommand extends FileCommand
{
    protected $signature = 'gorvan:standing
        {file? : A form file, a CSV file or a plain list}
        {record? : What a group was taught, and what was noted of each student}
        {--on= : The day, YYYY-MM-DD; today in the record\'s zone unless said}
        {--json : Print JSON}';

    protected $description = 'Say what each student of a group holds, where holes are, and who is ready';

    protected function answer(string $text, string $file): int
    {
        $on = $this->text('on');
        if ($on !== null && ! Instant::isDay($on)) {
            return $this->wrong(Words::of(Message::of('cli.on', text: $on)));
        }
        $record = $this->argument('record');
        if (! is_string($record) || $record === '') {
            return $this->wrong("{$this->getName()}: ".Words::of(Message::of('cli.name_two')));
        }
        $found = $this->readable($record);
        if (! is_string($found)) {
            return $this->refused($record, $found);
        }
        $read = (new ReadForm)($text, pathinfo($file, PATHINFO_FILENAME));
        try {
            $standings = StandingFile::read($found, $read->form);
        } catch (BadInput $e) {
            return $this->refused($e->place === '' ? $record : "$record:$e->place", $e->reason);
        }
        $on ??= (new DateTimeImmutable('now', $standings->zone))->format('Y-m-d');
        $day = Day::number($on);
        $taught = $standings->taughtBy($day);
        $students = $standings->on($day);
        $warnings = [...$read->warnings, ...$standings->warnings];
        if ($this->option('json')) {
            $this->warningsBeside($warnings);

            return $this->json(['on' => $on, 'students' => (object) array_map(static fn (StudentStanding $one): array => self::data($one, $read->form, $taught, $standings), $students)]);
        }
        $this->line("{$read->form->title}, on $on");
        $this->table(['Student', 'Frontier', 'Holds', 'Holes', 'Behind', 'Missed', 'Ready'], array_map(static fn (int|string $student, StudentStanding $one): array => [
            $student, $one->frontier() ?? '–', count($one->holding()), implode(' ', $one->holes($taught)), implode(' ', $one->behind($taught)), implode(' ', $one->missed($taught)), $one->readiness($standings->recap)->value ?? '–',
        ], array_keys($students), $students));
        $this->warnings($warnings);

        return self::SUCCESS;
    }

    /**
     * @param  list<int>  $taught
     * @return array<string, mixed>
     */
    private static function data(StudentStanding $one, Form $form, array $taught, StandingFile $file): array
    {
        $entries = [];
        foreach ($one->noted() as $entry) {
            $entries[$form->at($entry->position)->id] = self::entry($entry);
        }

        return [
            'frontier' => $one->frontier(),
            'holding' => $one->holding(),
            'holes' => $one->holes($taught),
            'behind' => $one->behind($taught),
            'missed' => $one->missed($taught),
            'ready' => $one->readiness($file->recap)?->value,
            'why' => array_map(static fn (NotReadyEntry $lacking): array => [
                'entry' => $form->at($lacking->entry->position)->id,
                'reason' => $lacking->reason->value,
                'support' => $lacking->entry->whole->support?->name,
                'recall' => $lacking->entry->whole->recall,
            ], $one->notReadyIn($file->recap)),
            'entries' => (object) $entries,
        ];
    }

    /** @return array<string, mixed> */
    private static function entry(EntryStanding $entry): array
    {
        return [...self::track($entry->whole), 'left' => $entry->left === null ? null : self::track($entry->left), 'right' => $entry->right === null ? null : self::track($entry->right)];
    }

    /** @return array<string, mixed> */
    private static function track(TrackStanding $track): array
    {
        return [
            'support' => $track->support?->name,
            'recall' => $track->recall,
            'passes' => $track->passes(),
            'holds' => $track->holds(),
            'assumed' => $track->isAssumed(),
        ];
    }
}
