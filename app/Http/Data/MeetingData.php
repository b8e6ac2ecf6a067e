<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A meeting with its plan, who is there, and what was marked. */
#[OA\Schema]
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
     */
    public function __construct(
        #[OA\Property]
        public TermSummary $term,
        #[OA\Property]
        public MeetingRow $meeting,
        #[OA\Property]
        public string $formId,
        #[OA\Property]
        public string $courseId,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $taught,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentData::class))]
        public array $students,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(ref: AttendanceData::class))]
        public object $attendance,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $guests,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MarkData::class))]
        public array $marks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TickData::class))]
        public array $season,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClosureData::class))]
        public array $closures,
        #[OA\Property]
        public ?string $logId,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CourseFormData::class))]
        public array $courses,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $awayLast,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $newcomers,
        #[OA\Property]
        public ?string $room,
        #[OA\Property]
        public ?GroupPrinciplesData $principles,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentKeepings::class))]
        public array $keepings,
        #[OA\Property]
        public TonightWarmUps $warmUps,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentCareData::class))]
        public array $care,
    ) {
    }
}
