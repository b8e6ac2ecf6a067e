<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\PlannedReview;
use OpenApi\Attributes as OA;

/** What a meeting is meant to hold of one course. */
#[OA\Schema]
final readonly class MeetingCourse
{
    /**
     * @param  list<PlannedLessonData>  $lessons
     * @param  list<ReviewData>  $review
     * @param  list<int>  $run
     * @param  list<PassageData>  $shown
     */
    public function __construct(
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $formTitle,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlannedLessonData::class))]
        public array $lessons,
        #[OA\Property]
        public ?PassageData $recap,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReviewData::class))]
        public array $review,
        #[OA\Property]
        public ?PassageData $runThrough,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'), description: 'what the run-through goes through, in its order, by position')]
        public array $run,
        #[OA\Property(ref: MessageData::class, nullable: true)]
        public ?Message $why,
        #[OA\Property(description: 'how often the run-through goes round')]
        public int $times,
        #[OA\Property(enum: ['as_written', 'from_section', 'shuffled', 'backwards'])]
        public string $order,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PassageData::class), description: 'what is only followed along, for it is not taught yet')]
        public array $shown,
        #[OA\Property(description: 'movements')]
        public ?int $taughtAfter,
        #[OA\Property]
        public ?float $recallAfter,
    ) {
    }

    public static function of(CoursePlan $plan, Form $form): self
    {
        $lessons = [];
        foreach ($plan->lessons() as $lesson) {
            $passage = $form->passageOf($lesson->entries);
            if ($passage !== null) {
                $lessons[] = new PlannedLessonData($lesson->number, $lesson->kind->value, $passage->from, $passage->to, $lesson->part, $lesson->parts);
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
            $plan->order->value,
            array_map(static fn (Passage $one): PassageData => new PassageData($one->from, $one->to), $form->passagesOf($plan->shown)),
            $plan->forecast->movements ?? $plan->forecast?->taught,
            $plan->forecast?->recall,
        );
    }
}
