<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\CurrentSchool;
use App\Models\Meeting;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\PlannedReview;
use OpenApi\Attributes as OA;

/** One meeting of a term: its plan, or, once it was held, what was taught. */
#[OA\Schema]
final readonly class MeetingRow
{
    /**
     * @param  list<ReviewData>  $review
     * @param  list<Message>  $notes
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
        #[OA\Property]
        public ?int $lessonNumber,
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
    ) {
    }

    /**
     * @param  string  $course  the course that is shown
     * @param  list<string>|null  $taught  entries of the form that its log says were taught; null while nobody has said
     */
    public static function of(Meeting $meeting, Form $form, string $course, ?array $taught, CurrentSchool $school): self
    {
        $plan = $meeting->planned();
        $part = $plan?->course($course);
        $today = $school->today();
        $given = $taught === null ? $form->passageOf($part?->given() ?? []) : $form->passageOf($taught);
        $isAsPlanned = $taught === null || array_diff($form->countedIdsOf($given), $part?->given() ?? []) === [];

        return new self(
            id: $meeting->id,
            on: $meeting->on,
            startsAt: $meeting->starts_at->setTimezone($school->zone())->toRfc3339String(),
            minutes: $meeting->minutes,
            isHeld: $taught !== null,
            isPast: $meeting->on < $today,
            isToday: $meeting->on === $today,
            kind: $plan?->kind->value,
            boxes: (object) ($plan->boxes ?? []),
            lessonNumber: $isAsPlanned && $given !== null ? $part?->lesson?->number : null,
            lesson: PassageData::of($given),
            recap: PassageData::of($form->passageOf($part->recap ?? [])),
            review: self::reviews($part->review ?? [], $form),
            runThrough: PassageData::of($form->passageOf($part->runThrough ?? [])),
            taughtAfter: $part?->forecast?->taught,
            recallAfter: $part?->forecast?->recall,
            notes: $plan->notes ?? [],
        );
    }

    /**
     * @param  list<PlannedReview>  $planned
     * @return list<ReviewData>
     */
    private static function reviews(array $planned, Form $form): array
    {
        $reviews = [];
        foreach ($planned as $item) {
            $passage = $form->passageOf($item->entries);
            if ($passage !== null) {
                $reviews[] = new ReviewData($passage->from, $passage->to, $item->passes, $item->minutes, is_numeric($item->why['recall'] ?? null) ? (float) $item->why['recall'] : null);
            }
        }

        return $reviews;
    }
}
