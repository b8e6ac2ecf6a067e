<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Course;
use Gorvan\Core\Standing\GroupResult;
use OpenApi\Attributes as OA;

/** What a term came to for the group in one form. */
#[OA\Schema]
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
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $formId,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $taught,
        #[OA\Property]
        public int $movements,
        #[OA\Property]
        public float $holding,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PassageData::class))]
        public array $firm,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PassageData::class))]
        public array $more,
        #[OA\Property]
        public ?PassageData $next,
        #[OA\Property]
        public int $written, )
    {
    }

    public static function of(Course $course, GroupResult $one, int $written): self
    {
        return new self($course->id, $course->form_id, $course->form->title, $one->taught, $one->movements, $one->holding, TermResultData::passages($one->firm), TermResultData::passages($one->more), $one->next === null ? null : new PassageData($one->next->from, $one->next->to), $written);
    }
}
