<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** The whole minutes one course has in a meeting: review, new work, run-through, and what nothing else had to do with. */
final readonly class CourseMinutes
{
    public function __construct(public int $review, public int $new, public int $runThrough, public int $free = 0)
    {
    }

    /**
     * A course's middle around its new work (engine 8): the new work, which was chosen to fit; the run-through, as long as it
     * takes, within its most and what is left beside a fifth for review; review the rest. What the teacher fixed stays.
     */
    public static function around(int $middle, CourseNeed $need): self
    {
        $review = min($need->fixedReview ?? 0, $middle);
        $new = min($need->fixedNew ?? MeetingBoxes::roundedUp($need->newMinutes), max(0, $middle - $review - ($need->fixedNew === null ? $need->fixedRun ?? 0 : 0)));
        $kept = $need->fixedReview ?? ($new === 0 || $need->fixedNew !== null ? 0 : MeetingBoxes::keptForReview($middle));
        $wanted = $need->fixedRun ?? min(MeetingBoxes::roundedUp($need->runThroughMinutes), $need->mostRunThrough);
        $run = min($wanted, max(0, $middle - $new - ($need->fixedRun === null ? min($kept, $middle - $new) : $review)));

        return self::rest($middle, $new, $run, $need->fixedReview);
    }

    /** Review has what is left; where the teacher fixed it, what is over is open. */
    public static function rest(int $middle, int $new, int $run, ?int $fixedReview): self
    {
        $left = $middle - $new - $run;
        $review = min($fixedReview ?? $left, $left);

        return new self($review, $new, $run, $left - $review);
    }

    /**
     * What review leaves over, or what is open beside it, goes elsewhere.
     *
     * @param  int  $minutes  never more than there are
     */
    public function given(int $minutes, Box $to, Box $from = Box::Review): self
    {
        return new self(
            $this->review - ($from === Box::Review ? $minutes : 0),
            $this->new + ($to === Box::New ? $minutes : 0),
            $this->runThrough + ($to === Box::RunThrough ? $minutes : 0),
            $this->free + ($to === Box::Free ? $minutes : 0) - ($from === Box::Free ? $minutes : 0),
        );
    }

    /** The same, with some of what nothing had to do with given to another course. */
    public function without(int $free): self
    {
        return new self($this->review, $this->new, $this->runThrough, $this->free - $free);
    }

    public function sum(): int
    {
        return $this->review + $this->new + $this->runThrough + $this->free;
    }
}
