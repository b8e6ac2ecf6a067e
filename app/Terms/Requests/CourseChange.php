<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Lessons\Requests\SentSize;
use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use App\Shared\Sent\Unsaid;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Course;

/** What is changed of a course. */
final readonly class CourseChange implements Sent
{
    /**
     * @param  list<SentJoin>|null  $joins
     * @param  bool  $isFree  whether pins and bars are taken off
     * @param  list<SentPassage>|null|Unsaid  $keeps
     * @param  list<int>|null  $turns
     */
    public function __construct(
        public ?Approach $approach = null,
        #[Rules('min:0.1', 'max:1')]
        public ?float $share = null,
        #[Rules('min:0', 'max:20')]
        public int|null|Unsaid $rhythm = Unsaid::Unsaid,
        #[Rules('min:1', 'max:600')]
        public int|null|Unsaid $from = Unsaid::Unsaid,
        #[Rules('min:1', 'max:600')]
        public int|null|Unsaid $to = Unsaid::Unsaid,
        public SentShowing|null|Unsaid $showing = Unsaid::Unsaid,
        public ?SentSize $size = null,
        #[Rules('max:600')]
        public ?array $joins = null,
        public bool $isFree = false,
        public ?bool $takesLessons = null,
        public SentPace|null|Unsaid $pace = Unsaid::Unsaid,
        public bool|null|Unsaid $spread = Unsaid::Unsaid,
        #[Rules('min:0', 'max:'.Course::MOST_RESERVE)]
        public ?int $reserve = null,
        public ?bool $looksBack = null,
        #[Rules('max:50')]
        public array|null|Unsaid $keeps = Unsaid::Unsaid,
        #[Rules('max:12')]
        #[Each('min:0', 'max:3')]
        public ?array $turns = null,
    ) {
    }

    /** Whether its lessons are cut by hand, or the form's are taken again. */
    public function cutsByHand(): bool
    {
        return $this->size !== null || $this->joins !== null || $this->isFree || $this->takesLessons !== null;
    }

    /** Whether what is changed gives it other lessons. */
    public function cutsAnew(): bool
    {
        return $this->cutsByHand() || $this->approach !== null || ! $this->to instanceof Unsaid;
    }
}
