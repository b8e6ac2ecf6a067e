<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Meeting;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\PlanGlance;
use Gorvan\Core\Term\PlannedReview;
use OpenApi\Attributes as OA;

/** One meeting of a term: its plan, or, once it was held, what was taught. */
#[OA\Schema]
final readonly class MeetingRow
{
    /**
     * @param  list<int>  $lessonNumbers  of the lessons that are given, or of which some is
     * @param  list<ReviewData>  $review
     * @param  list<Message>  $notes
     * @param  list<MeetingCourse>  $courses  the same for every course, in their order
     * @param  list<FocusData>  $focus  the first one first
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public string $startsAt,
        #[OA\Property]
        public int $minutes,
        #[OA\Property]
        public bool $isHeld,
        #[OA\Property]
        public bool $isPast,
        #[OA\Property]
        public bool $isToday,
        #[OA\Property]
        public ?string $kind,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))]
        public object $boxes,
        #[OA\Property(type: 'object', description: 'per cent of the meeting', additionalProperties: new OA\AdditionalProperties(type: 'integer'))]
        public object $shares,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $lessonNumbers,
        #[OA\Property]
        public ?PassageData $lesson,
        #[OA\Property]
        public ?PassageData $recap,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReviewData::class))]
        public array $review,
        #[OA\Property]
        public ?PassageData $runThrough,
        #[OA\Property]
        public ?int $taughtAfter,
        #[OA\Property]
        public ?float $recallAfter,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $notes,
        #[OA\Property(enum: ['laid', 'added', 'cancelled'])]
        public string $state,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property]
        public ?string $room,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $pins,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MeetingCourse::class))]
        public array $courses,
        #[OA\Property]
        public bool $isOpen,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FocusData::class))]
        public array $focus,
    ) {
    }

    /**
     * @param  Course  $course  the course that is shown
     * @param  list<string>|null  $taught  entries of the form that its log says were taught; null while nobody has said
     * @param  array<string, Form>  $forms  of the other courses, by course
     * @param  int|null  $taughtBy  movements taught by then, of one that was held
     */
    public static function of(Meeting $meeting, Form $form, Course $course, ?array $taught, CurrentSchool $school, array $forms = [], ?int $taughtBy = null): self
    {
        $plan = $meeting->planned();
        $part = $plan?->course($course->id);
        $today = $school->today();
        $given = $taught === null ? $form->passageOf($part?->given() ?? []) : $form->passageOf($taught);

        return new self(
            id: $meeting->id,
            on: $meeting->on,
            startsAt: $meeting->starts_at->setTimezone($school->zone())->toRfc3339String(),
            minutes: $meeting->minutes,
            isHeld: $taught !== null,
            isPast: $meeting->on < $today,
            isToday: $meeting->on === $today,
            kind: ($taught === null ? $plan?->kind : MeetingKind::held($plan?->kind, $taught !== [], count($plan->courses ?? []) <= 1))?->value,
            boxes: (object) ($plan->boxes ?? []),
            shares: (object) MeetingBoxes::percents(),
            lessonNumbers: $taught === null ? PlanGlance::numbers($part?->lessons() ?? []) : $course->lessonNumbers($taught),
            lesson: PassageData::of($given),
            recap: PassageData::of($form->passageOf($part->recap ?? [])),
            review: array_values(array_filter(array_map(static fn (PlannedReview $one): ?ReviewData => ReviewData::of($one, $form), $part->review ?? []))),
            runThrough: PassageData::of($form->passageOf($part->runThrough ?? [])),
            taughtAfter: $taughtBy ?? $part?->forecast->movements ?? $part?->forecast?->taught,
            recallAfter: $part?->forecast?->recall,
            notes: $plan->notes ?? [],
            state: $meeting->state->value,
            reason: $meeting->reason,
            room: $meeting->room,
            pins: $meeting->fixed()->toData(),
            courses: self::courses($plan, [$course->id => $form, ...$forms]),
            isOpen: $taught === null && $meeting->on >= $today,
            focus: array_map(FocusData::of(...), $plan->focus ?? []),
        );
    }

    /**
     * @param  array<string, Form>  $forms  by course
     * @return list<MeetingCourse>
     */
    private static function courses(?MeetingPlan $plan, array $forms): array
    {
        $courses = [];
        foreach ($plan->courses ?? [] as $part) {
            if (isset($forms[$part->course])) {
                $courses[] = MeetingCourse::of($part, $forms[$part->course]);
            }
        }

        return $courses;
    }
}
