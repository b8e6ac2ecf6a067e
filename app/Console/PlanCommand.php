<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\ReadForm;
use App\Words;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\RunOrder;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\PlanFile;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\ReviewItem;
use Gorvan\Core\Term\ReviewProblem;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Term\TermPlanner;

/** Plans a term for a class that starts with nothing (docs/formats/commands.md). */
final class PlanCommand extends FileCommand
{
    private const MOST_STUDENTS = 200;

    protected $signature = 'gorvan:plan
        {file? : A form file, a CSV file or a plain list}
        {term? : A term file}
        {--approach=piece : outline, piece, sides or whole}
        {--students=12 : How many students are invented}
        {--explain : Say what each choice of review saw}
        {--json : Print JSON}';

    protected $description = 'Plan a term: what is new, what is reviewed, on which evening, in how many minutes';

    protected function answer(string $text, string $file): int
    {
        $approach = Approach::tryFrom((string) $this->text('approach'));
        $students = filter_var($this->text('students'), FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => self::MOST_STUDENTS]]);
        if ($approach === null) {
            return $this->wrong(Words::of(Message::of('cli.approach')));
        }
        if ($students === false) {
            return $this->wrong(Words::of(Message::of('cli.students', text: (string) $this->text('students'))));
        }
        $term = $this->argument('term');
        if (! is_string($term) || $term === '') {
            return $this->wrong("{$this->getName()}: ".Words::of(Message::of('cli.name_term')));
        }
        $found = $this->readable($term);
        if (! is_string($found)) {
            return $this->refused($term, $found);
        }
        $form = (new ReadForm)($text, pathinfo($file, PATHINFO_FILENAME));
        try {
            $read = PlanFile::read($found, $form->form, $approach);
        } catch (BadInput $e) {
            return $this->refused($e->place === '' ? $term : "$term:$e->place", $e->reason);
        }
        $request = $read->request(new LessonCutter, $students);
        $plan = (new TermPlanner)->plan($request);
        $warnings = [...$form->warnings, ...$read->warnings, ...$plan->warnings];

        return $this->option('json') ? $this->json($this->data($form->form, $request->courses[0]->cut, $plan, $warnings)) : $this->printed($form->form, $plan, $warnings);
    }

    /** @param  list<Message>  $warnings */
    private function printed(Form $form, TermPlan $plan, array $warnings): int
    {
        $span = static fn (?Passage $passage): string => $passage === null ? '–' : "{$passage->from}–{$passage->to}";
        $this->table(['Day', 'Boxes', 'New', 'Review', 'Run-through', 'Taught', 'Recall', 'Why'], array_map(static function (MeetingPlan $meeting) use ($form, $span): array {
            $each = static fn (callable $of): string => implode(' / ', array_map($of, $meeting->courses));

            return [
                $meeting->on,
                implode(' ', $meeting->boxes),
                $each(static fn (CoursePlan $course): string => implode(', ', array_map(static fn (PlannedLesson $lesson): string => $span($form->passageOf($lesson->entries)), $course->lessons()))),
                $each(static fn (CoursePlan $course): string => implode(', ', array_map(static fn (PlannedReview $one): string => $span($form->passageOf($one->entries))." x$one->passes", $course->review))),
                $each(static fn (CoursePlan $course): string => $span($form->passageOf($course->runThrough)).($course->times > 1 ? " x$course->times" : '').($course->order === RunOrder::AsWritten ? '' : " {$course->order->value}")),
                $each(static fn (CoursePlan $course): string => (string) $course->forecast?->taught),
                $each(static fn (CoursePlan $course): string => sprintf('%.2f', $course->forecast->recall ?? 0.0)),
                $each(static fn (CoursePlan $course): string => $course->why === null ? '' : Words::of($course->why)),
            ];
        }, $plan->meetings));
        foreach ($plan->courses as $end) {
            $end->says === null || $this->line(Words::of($end->says));
            $this->line(sprintf('Reaches entry %s; %d movements hold, %.1f are expected.', $end->reach ?? '–', $end->holds, $end->expected));
        }
        $this->warnings($warnings);

        return self::SUCCESS;
    }

    /**
     * @param  list<Message>  $warnings
     * @return array<string, mixed>
     */
    private function data(Form $form, LessonCut $cut, TermPlan $plan, array $warnings): array
    {
        $end = $plan->courses[0];

        return [
            'target' => $cut->target,
            'lessons' => array_map(static fn (Lesson $lesson): array => ['from' => $lesson->from, 'to' => $lesson->to, 'load' => $lesson->load], $cut->lessons),
            'meetings' => array_map(fn (MeetingPlan $meeting, int $at): array => [
                'on' => $meeting->on,
                'minutes' => $meeting->minutes,
                'kind' => $meeting->kind->value,
                'boxes' => array_map(static fn (string $box, int $minutes): array => ['kind' => $box, 'minutes' => $minutes], array_keys($meeting->boxes), $meeting->boxes),
                ...self::courses($form, $meeting),
                ...($this->option('explain') ? self::explained($plan->reviews[$at]) : []),
            ], $plan->meetings, array_keys($plan->meetings)),
            'reach' => $end->reach,
            'holds' => $end->holds,
            'expected' => $end->expected,
            'pace' => $end->pace?->toData(),
            'through_on' => $end->throughOn === null ? null : Day::text($end->throughOn),
            'warnings' => array_map(Words::of(...), $warnings),
        ];
    }

    /** @return array<string, mixed> of one course, or of several in one list, each part with its course */
    private static function courses(Form $form, MeetingPlan $meeting): array
    {
        if (count($meeting->courses) === 1) {
            return self::course($form, $meeting->courses[0]);
        }
        $all = ['lessons' => [], 'why' => [], 'review' => [], 'run_through' => [], 'shown' => [], 'forecast' => []];
        foreach ($meeting->courses as $n => $course) {
            $own = self::course($form, $course);
            foreach (['lessons', 'review', 'shown'] as $key) {
                array_push($all[$key], ...array_map(static fn (array $one): array => ['course' => $n, ...$one], $own[$key]));
            }
            $own['run_through'] === null || $all['run_through'][] = ['course' => $n, ...$own['run_through']];
            $all['why'][] = $own['why'];
            $all['forecast'][] = ['course' => $n, ...$own['forecast']];
        }

        return $all;
    }

    /** @return array{lessons: list<array<string, mixed>>, why: string|null, review: list<array<string, mixed>>, run_through: array<string, mixed>|null, shown: list<array<string, mixed>>, forecast: array<string, mixed>} */
    private static function course(Form $form, CoursePlan $course): array
    {
        $span = static fn (array $entries): array => ['from' => $form->passageOf($entries)?->from, 'to' => $form->passageOf($entries)?->to];

        return [
            'lessons' => array_map(static fn (PlannedLesson $lesson): array => [...$span($lesson->entries), 'kind' => $lesson->kind->value, ...($lesson->part === null ? [] : ['part' => [$lesson->part, $lesson->parts ?? $lesson->part]])], $course->lessons()),
            'why' => $course->why === null ? null : Words::of($course->why),
            'review' => array_map(static fn (PlannedReview $one): array => [...$span($one->entries), 'passes' => $one->passes, 'minutes' => $one->minutes, 'value' => $one->why['value'] ?? null], $course->review),
            'run_through' => $course->runThrough === [] ? null : [...$span($course->runThrough), 'times' => $course->times, 'order' => $course->order->value],
            'shown' => array_map(static fn (Passage $one): array => ['from' => $one->from, 'to' => $one->to], $form->passagesOf($course->shown)),
            'forecast' => ['taught' => $course->forecast?->taught, 'recall' => $course->forecast?->recall],
        ];
    }

    /**
     * @param  list<ReviewProblem>  $problems  by course
     * @return array<string, mixed>
     */
    private static function explained(array $problems): array
    {
        $one = static fn (ReviewProblem $problem): array => [
            'entries' => array_map(static fn (?ReviewItem $item): ?array => $item === null ? null : ['value' => $item->value, 'minutes' => $item->minutes, ...($item->price === null ? [] : ['price' => $item->price])], $problem->entries),
            'budget' => $problem->budget,
            'price' => $problem->price,
        ];

        return count($problems) === 1 ? $one($problems[0]) : ['problems' => array_map($one, $problems)];
    }
}
