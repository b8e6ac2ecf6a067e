<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PlanQuestion;
use App\Models\QuestionKind;
use App\Models\QuestionState;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\Change\ChangeRefused;
use Gorvan\Core\Term\Change\DraftMeeting;
use Gorvan\Core\Term\Change\PinLesson;
use Gorvan\Core\Term\Change\PlanCosts;
use Gorvan\Core\Term\Change\PlanVariant;
use Gorvan\Core\Term\Change\SolveFor;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Term\TermPlanner;

/** Computes the answer to a question about a plan, and says how far it is. */
final class AnswerQuestion
{
    /** Candidates for another evening that are worked out. */
    private const MOST_PLACES = 12;

    public function __construct(private readonly ReadPlanning $read, private readonly TermPlanner $planner, private readonly SolveFor $solve, private readonly PlanCosts $costs, private readonly LessonCutter $cutter)
    {
    }

    public function read(PlanQuestion $row): QuestionWork
    {
        $row->update(['state' => QuestionState::Running, 'progress' => 0]);

        return new QuestionWork($row->id, $row->kind, $row->question, ($this->read)($row->term));
    }

    /**
     * The answer; nothing is asked of the database but by `$progress`.
     *
     * @param  callable(int): void  $progress  hundredths
     * @return array<string, mixed>
     */
    public function compute(QuestionWork $work, callable $progress): array
    {
        $planning = $work->planning;
        $course = $this->courseOf($planning, $work);

        return match ($work->kind) {
            QuestionKind::Costs => ['costs' => $this->costs->of($planning->request(), $this->planner->plan($planning->request()), $progress)],
            QuestionKind::Furthest => ['to' => $this->solve->furthest($planning->request(), $course, $progress)],
            QuestionKind::Meetings => ['days' => $this->solve->meetings($planning->draft, static fn (TermDraft $draft) => $planning->of($draft)->request(), $course, $progress)],
            QuestionKind::Minutes => ['minutes' => $this->solve->minutes($planning->request(), $course, $progress)],
            QuestionKind::Pace => ['movements' => $this->solve->pace($planning->request(), $course, $progress)],
            QuestionKind::Compare => ['plans' => $this->compared($planning, $work, $progress)],
            QuestionKind::Places => ['places' => $this->places($planning, $work, $progress)],
        };
    }

    /** @param  array<string, mixed>  $answer */
    public function keep(QuestionWork $work, array $answer): void
    {
        PlanQuestion::whereKey($work->id)->update(['state' => QuestionState::Done->value, 'progress' => 100, 'answer' => json_encode($answer, JSON_THROW_ON_ERROR)]);
    }

    private function courseOf(Planning $planning, QuestionWork $work): int
    {
        foreach ($planning->courses as $at => $outset) {
            if ($outset->course->id === ($work->question['course'] ?? null)) {
                return $at;
            }
        }

        return 0;
    }

    /**
     * @param  callable(int): void  $progress
     * @return list<array<string, mixed>>
     */
    private function compared(Planning $planning, QuestionWork $work, callable $progress): array
    {
        $plans = [];
        $variants = PlanVariant::list($work->question['plans'] ?? []);
        foreach ($variants as $at => $variant) {
            $changed = $variant->on($planning->draft, $planning->courses, $this->courseOf($planning, $work), $this->cutter);
            $own = new Planning($planning->seed, $changed->courses, $changed->draft, $planning->focus, turns: $planning->turns);
            $plans[] = self::view($this->planner->plan($own->request()), $own->draft);
            $progress(intdiv(100 * ($at + 1), count($variants)));
        }

        return $plans;
    }

    /** @return array<string, mixed> */
    private static function view(TermPlan $plan, TermDraft $draft): array
    {
        $taking = $draft->taking();

        return [
            'meetings' => array_values(array_map(static fn (MeetingPlan $one, int $at): array => [
                'id' => $taking[$at]->id, 'on' => $one->on, 'minutes' => $one->minutes, 'kind' => $one->kind->value,
                'courses' => array_map(static fn ($course): array => [
                    'course' => $course->course,
                    'lessons' => array_map(static fn ($lesson): object => $lesson->toData(), $course->lessons()),
                    'recap' => $course->recap,
                    'review' => array_map(static fn ($review): array => $review->entries, $course->review),
                    'runThrough' => $course->runThrough,
                    'shown' => $course->shown,
                    'taught' => $course->forecast?->taught,
                    'movements' => $course->forecast?->movements,
                    'recall' => $course->forecast?->recall,
                ], $one->courses),
            ], $plan->meetings, array_keys($plan->meetings))),
            'forecasts' => array_map(static fn ($one): object => $one->toData(), $plan->courses),
            'expected' => $plan->expected(),
            'boxes' => array_map(static fn (Box $box): array => ['kind' => $box->value, 'minutes' => array_sum(array_map(static fn (MeetingPlan $one): int => $one->boxes[$box->value] ?? 0, $plan->meetings))], Box::cases()),
            'warnings' => $plan->warnings,
        ];
    }

    /**
     * What a lesson would cost on each evening to come, against where the plan has it.
     *
     * @param  callable(int): void  $progress
     * @return list<array{meeting: string, on: string, cost: float}>
     */
    private function places(Planning $planning, QuestionWork $work, callable $progress): array
    {
        $number = (int) ($work->question['number'] ?? 0);
        $course = $planning->courses[$this->courseOf($planning, $work)]->course->id;
        $free = $planning->of((new PinLesson($course, max(1, $number), null))->on($planning->draft));
        $best = $this->planner->plan($free->request())->expected();
        $open = array_slice(array_values(array_filter($free->draft->taking(), static fn (DraftMeeting $one): bool => $one->isOpen)), 0, self::MOST_PLACES);
        $places = [];
        foreach ($open as $at => $meeting) {
            try {
                $draft = (new PinLesson($course, $number, $meeting->id))->on($free->draft);
                $plan = $this->planner->plan($free->of($draft)->request());
            } catch (ChangeRefused) {
                continue; // it cannot come there, so it costs nothing to say nothing
            }
            $given = PlanTerm::byMeeting($plan, $free->of($draft)->ids())[$meeting->id] ?? null;
            if (in_array($number, array_map(static fn ($lesson): ?int => $lesson->number, $given?->course($course)?->lessons() ?? []), true)) {
                $places[] = ['meeting' => $meeting->id, 'on' => $meeting->on, 'cost' => round($best - $plan->expected(), 2)];
            }
            $progress(intdiv(100 * ($at + 1), count($open)));
        }

        return $places;
    }
}
