<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\Score;
use OpenApi\Attributes as OA;

/** One meeting of a term, with its plan. */
#[OA\Schema]
final readonly class MeetingRow
{
    /**
     * @param  list<ReviewData>  $review
     * @param  list<string>  $notes
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
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $notes,
    ) {
    }

    public static function of(Meeting $meeting, Score $score, CurrentSchool $school): self
    {
        $plan = $meeting->plan ?? [];
        $review = [];
        foreach (is_array($plan['review'] ?? null) ? $plan['review'] : [] as $item) {
            $passage = $score->passage($item);
            if ($passage !== null && is_array($item)) {
                $review[] = new ReviewData($passage->from, $passage->to, (int) $item['passes'], (float) $item['minutes'], (float) $item['mean_recall']);
            }
        }
        $today = $school->today();

        return new self(
            id: $meeting->id,
            on: $meeting->on,
            startsAt: $meeting->starts_at->setTimezone($school->zone())->toRfc3339String(),
            minutes: $meeting->minutes,
            isHeld: $meeting->log_id !== null,
            isPast: $meeting->on < $today,
            isToday: $meeting->on === $today,
            kind: $meeting->kind?->value,
            boxes: (object) ($meeting->boxes ?? []),
            lessonNumber: $plan['lesson_number'] ?? null,
            lesson: PassageData::of($score->passage($plan['lesson'] ?? null)),
            recap: PassageData::of($score->passage($plan['recap'] ?? null)),
            review: $review,
            runThrough: PassageData::of($score->passage($plan['run_through'] ?? null)),
            taughtAfter: $plan['taught_after'] ?? null,
            recallAfter: $plan['recall_after'] ?? null,
            notes: $plan['notes'] ?? [],
        );
    }
}
