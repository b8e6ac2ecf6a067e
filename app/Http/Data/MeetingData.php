<?php

declare(strict_types=1);

namespace App\Http\Data;

use ArrayObject;

/** A meeting with its plan, who is there, and what was marked. */
final readonly class MeetingData
{
    /**
     * @param  list<int>  $taught  positions given to the group by today
     * @param  list<StudentData>  $students
     * @param  list<string>  $guests  students among them who are not in the group
     * @param  list<MarkData>  $marks
     * @param  list<TickData>  $season
     * @param  list<ClosureData>  $closures
     * @param  list<CourseFormData>  $courses  in their order
     * @param  list<string>  $awayLast  names of members who were not at the class before
     * @param  list<StudentKeepings>  $keepings  how everyone stands in the group's principles
     * @param  list<string>  $newcomers  names of members who have joined since
     * @param  list<StudentCareData>  $care  who needs what, by name; never why
     * @param  ArrayObject<string, AttendanceData>  $attendance  by student
     */
    public function __construct(
        public TermSummary $term,
        public MeetingRow $meeting,
        public string $formId,
        public string $courseId,
        public array $taught,
        public array $students,
        public ArrayObject $attendance,
        public array $guests,
        public array $marks,
        public array $season,
        public array $closures,
        public ?string $logId,
        public array $courses,
        public array $awayLast,
        public array $newcomers,
        public ?string $room,
        public ?GroupPrinciplesData $principles,
        public array $keepings,
        public TonightWarmUps $warmUps,
        public array $care,
    ) {
    }
}
