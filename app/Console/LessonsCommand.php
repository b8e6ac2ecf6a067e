<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\ReadForm;
use App\Words;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Lesson\Content\LessonContent;
use Gorvan\Core\Lesson\Content\LessonsFile;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\LessonSeries;
use Symfony\Component\Console\Output\OutputInterface;

/** The lessons of a form as an approach gives them (docs/formats/lessons.md). */
final class LessonsCommand extends FileCommand
{
    protected $signature = 'gorvan:lessons
        {file? : A form file or a plain list}
        {--approach=piece : outline, piece, sides or whole}
        {--json : Print gorvan.lessons/1}';

    protected $description = 'List the lessons of a form, with what leads into each and what must be seen';

    protected function answer(string $text, string $file): int
    {
        $approach = Approach::tryFrom((string) $this->text('approach'));
        if ($approach === null) {
            return $this->wrong(Words::of(Message::of('cli.approach')));
        }
        $read = (new ReadForm)($text, pathinfo($file, PATHINFO_FILENAME));
        $lessons = LessonSeries::of($read->form, $approach);
        $warnings = [...$read->warnings, ...array_map(static fn (Kinship $kin): Message => $kin->said(), $read->inferred)];
        if ($this->option('json')) {
            $this->warningsBeside($warnings);
            $this->getOutput()->write(LessonsFile::written($read->form, $lessons), false, OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }
        $range = static fn (?int $from, ?int $to): string => $from === null ? '-' : ($from === $to ? (string) $from : "$from-$to");
        $this->table(['lesson', 'kind', 'entries', 'recap', 'run through', 'first title'], array_map(static function (int $at) use ($lessons, $read, $range): array {
            $content = LessonContent::of($read->form, $lessons[$at]);
            $last = $content->entries === [] ? null : $content->entries[count($content->entries) - 1];

            return [$at + 1, $lessons[$at]->kind->value, $range($content->entries[0] ?? null, $last), $range($content->recap?->from, $content->recap?->to), $range($content->runThrough?->from, $content->runThrough?->to), $content->entries === [] ? '' : $read->form->at($content->entries[0])->title];
        }, array_keys($lessons)));
        $this->warnings($warnings);

        return self::SUCCESS;
    }
}
