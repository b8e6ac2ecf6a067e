<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\RunOrder;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\PlannedReview;

/** What a meeting is meant to hold of one course. */
final readonly class MeetingCourse
{
    /**
     * @param  list<PlannedLessonData>  $lessons
     * @param  list<ReviewData>  $review
     * @param  list<int>  $run  what the run-through goes through, in its order, by position
     * @param  list<PassageData>  $shown  what is only followed along, for it is not taught yet
     * @param  int  $times  how often the run-through goes round
     * @param  int|null  $taughtAfter  movements
     */
    public function __construct(
        public string $courseId,
        public string $formTitle,
        public array $lessons,
        public ?PassageData $recap,
        public array $review,
        public ?PassageData $runThrough,
        public array $run,
        public ?Message $why,
        public int $times,
        public RunOrder $order,
        public array $shown,
        public ?int $taughtAfter,
        public ?float $recallAfter,
    ) {
    }

    public static function of(CoursePlan $plan, Form $form): self
    {
        $lessons = [];
        foreach ($plan->lessons() as $lesson) {
            $passage = $form->passageOf($lesson->entries);
            if ($passage !== null) {
                $lessons[] = new PlannedLessonData($lesson->number, $lesson->kind, $passage->from, $passage->to, $lesson->part, $lesson->parts);
            }
        }

        return new self(
            $plan->course,
            $form->title,
            $lessons,
            PassageData::of($form->passageOf($plan->recap)),
            array_values(array_filter(array_map(static fn (PlannedReview $one): ?ReviewData => ReviewData::of($one, $form), $plan->review))),
            PassageData::of($form->passageOf($plan->runThrough)),
            array_values(array_filter(array_map($form->positionOf(...), $plan->runThrough))),
            $plan->why,
            $plan->times,
            $plan->order,
            array_map(static fn (Passage $one): PassageData => new PassageData($one->from, $one->to), $form->passagesOf($plan->shown)),
            $plan->forecast->movements ?? $plan->forecast?->taught,
            $plan->forecast?->recall,
        );
    }
}
