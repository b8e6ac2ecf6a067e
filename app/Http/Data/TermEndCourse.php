<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Course;
use Gorvan\Core\Standing\GroupResult;

/** What a term came to for the group in one form. */
final readonly class TermEndCourse
{
    /**
     * @param  int  $taught  movements so far, of those of the form
     * @param  float  $holding  movements that hold for a student, on average
     * @param  list<PassageData>  $firm  holds for at least half of them
     * @param  list<PassageData>  $more  taught, and holds for fewer
     * @param  PassageData|null  $next  what is still to come of the first lesson that was not given whole
     * @param  int  $written  lessons with words of their own, which a next term can take along
     */
    public function __construct(
        public string $courseId,
        public string $formId,
        public string $title,
        public int $taught,
        public int $movements,
        public float $holding,
        public array $firm,
        public array $more,
        public ?PassageData $next,
        public int $written, )
    {
    }

    public static function of(Course $course, GroupResult $one, int $written): self
    {
        return new self($course->id, $course->form_id, $course->form->title, $one->taught, $one->movements, $one->holding, TermResultData::passages($one->firm), TermResultData::passages($one->more), $one->next === null ? null : new PassageData($one->next->from, $one->next->to), $written);
    }
}
