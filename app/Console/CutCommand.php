<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\ReadForm;
use App\Words;
use Gorvan\Core\Form\EntryLoad;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Lesson\JoinRest;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\Message;

/** Cuts a form file or a plain list into lessons (docs/formats/commands.md). */
final class CutCommand extends FileCommand
{
    protected $signature = 'gorvan:cut
        {file? : A form file or a plain list}
        {--target= : The load of a lesson}
        {--lessons= : How many lessons, instead}
        {--json : Print JSON}';

    protected $description = 'Cut a form into lessons of near-equal load at good places to stop';

    protected function answer(string $text, string $file): int
    {
        $target = $this->text('target');
        $lessons = $this->text('lessons');
        if ($target !== null && ! is_numeric($target)) {
            return $this->wrong(Words::of(Message::of('cli.target', text: $target)));
        }
        if ($target !== null && ! is_finite((float) $target)) {
            return $this->wrong(Words::of(Message::of('cli.target_large', text: $target)));
        }
        if ($lessons !== null && preg_match('/^-?\d{1,9}$/D', $lessons) !== 1) {
            return $this->wrong(Words::of(Message::of('cli.lessons', text: $lessons)));
        }
        $read = (new ReadForm)($text, pathinfo($file, PATHINFO_FILENAME));
        $cut = (new LessonCutter)->cut($read->form, $target === null ? null : (float) $target, $lessons === null ? null : (int) $lessons);
        $warnings = [...$read->warnings, ...array_map(static fn (Kinship $kin): Message => $kin->said(), $read->inferred)];

        return $this->option('json') ? $this->json($this->data($read->form, $cut, $warnings)) : $this->told($read->form, $cut, $warnings);
    }

    /**
     * @param  list<Message>  $warnings
     * @return array<string, mixed>
     */
    private function data(Form $form, LessonCut $cut, array $warnings): array
    {
        return [
            'form' => ['title' => $form->title, 'entries' => $form->count()],
            'target' => $cut->target,
            'lambda' => $cut->lambda,
            'objective' => $cut->objective,
            'entries' => array_map(static function (EntryLoad $load) use ($form): array {
                $entry = $form->at($load->position);

                return [
                    'position' => $load->position,
                    'id' => $entry->id,
                    'number' => $entry->number,
                    'title' => $entry->title,
                    'demand' => $load->demand,
                    'newness' => $load->newness,
                    'load' => $load->load,
                ];
            }, $cut->loads),
            'joins' => array_map(static fn (JoinRest $join): array => ['after' => $join->after, 'rest' => $join->rest, 'pin' => $join->pin?->value], $cut->joins),
            'lessons' => array_map(static fn (Lesson $lesson): array => ['from' => $lesson->from, 'to' => $lesson->to, 'load' => $lesson->load], $cut->lessons),
            'warnings' => array_map(Words::of(...), $warnings),
        ];
    }

    /** @param  list<Message>  $warnings */
    private function told(Form $form, LessonCut $cut, array $warnings): int
    {
        $this->line(Words::of(Message::of(
            'cli.cut',
            title: $form->title,
            entries: Message::of('cli.entries', count: $form->count()),
            load: self::rounded($cut->totalLoad()),
            count: count($cut->lessons),
            target: self::rounded($cut->target),
        )));
        $this->table(['Lesson', 'From', 'To', 'Load', 'First', 'Last'], array_map(
            static fn (int $at, Lesson $lesson): array => [$at + 1, $lesson->from, $lesson->to, self::rounded($lesson->load), $form->at($lesson->from)->title, $form->at($lesson->to)->title],
            array_keys($cut->lessons),
            $cut->lessons,
        ));
        $this->warnings($warnings);

        return self::SUCCESS;
    }

    /** A load as it is read everywhere: two places, halves up. */
    private static function rounded(float $load): string
    {
        return (string) round($load, 2);
    }
}
