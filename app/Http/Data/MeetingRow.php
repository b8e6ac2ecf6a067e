<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Meeting;
use ArrayObject;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\MeetingState;
use Gorvan\Core\Term\PlanGlance;
use Gorvan\Core\Term\PlannedReview;

/** One meeting of a term: its plan, or, once it was held, what was taught. */
final readonly class MeetingRow
{
    /**
     * @param  list<int>  $lessonNumbers  of the lessons that are given, or of which some is
     * @param  list<ReviewData>  $review
     * @param  list<Message>  $notes
     * @param  list<MeetingCourse>  $courses  the same for every course, in their order
     * @param  list<FocusData>  $focus  the first one first
     * @param  ArrayObject<string, int>  $boxes  minutes by box
     * @param  ArrayObject<string, int>  $shares  per cent of the meeting
     */
    public function __construct(
        public string $id,
        public string $on,
        public string $startsAt,
        public int $minutes,
        public bool $isHeld,
        public bool $isPast,
        public bool $isToday,
        public ?MeetingKind $kind,
        public ArrayObject $boxes,
        public ArrayObject $shares,
        public array $lessonNumbers,
        public ?PassageData $lesson,
        public ?PassageData $recap,
        public array $review,
        public ?PassageData $runThrough,
        public ?int $taughtAfter,
        public ?float $recallAfter,
        public array $notes,
        public MeetingState $state,
        public ?string $reason,
        public ?string $room,
        public object $pins,
        public array $courses,
        public bool $isOpen,
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
            kind: ($taught === null ? $plan?->kind : MeetingKind::held($plan?->kind, $taught !== [], count($plan->courses ?? []) <= 1)),
            boxes: new ArrayObject($plan->boxes ?? []),
            shares: new ArrayObject(MeetingBoxes::percents()),
            lessonNumbers: $taught === null ? PlanGlance::numbers($part?->lessons() ?? []) : $course->lessonNumbers($taught),
            lesson: PassageData::of($given),
            recap: PassageData::of($form->passageOf($part->recap ?? [])),
            review: array_values(array_filter(array_map(static fn (PlannedReview $one): ?ReviewData => ReviewData::of($one, $form), $part->review ?? []))),
            runThrough: PassageData::of($form->passageOf($part->runThrough ?? [])),
            taughtAfter: $taughtBy ?? $part?->forecast->movements ?? $part?->forecast?->taught,
            recallAfter: $part?->forecast?->recall,
            notes: $plan->notes ?? [],
            state: $meeting->state,
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
