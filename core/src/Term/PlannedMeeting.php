<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * One meeting of a plan, to the minute, with what it should lead to.
 *
 * `lessonNumber` is the lesson's place in the cut, from 1. `recallAfter` is the mean recall, on the next meeting's
 * day, of everything taught by then, over the whole roster.
 */
final readonly class PlannedMeeting
{
    /**
     * @param  list<ReviewItem>  $review
     * @param  list<string>  $notes  sentences: what does not fit, where spare minutes went
     */
    public function __construct(
        public string $on,
        public MeetingKind $kind,
        public MeetingBoxes $boxes,
        public ?int $lessonNumber,
        public ?Passage $lesson,
        public ?Passage $recap,
        public array $review,
        public ?Passage $runThrough,
        public int $taughtAfter,
        public ?float $recallAfter,
        public array $notes,
    ) {
    }
}
