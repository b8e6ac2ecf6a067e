<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A meeting of today with its plan. */
final readonly class TonightData
{
    /**
     * @param  list<int>  $taught  positions given to the group by today
     * @param  list<TickData>  $season
     * @param  list<ClosureData>  $closures
     * @param  list<CourseFormData>  $courses  in their order
     * @param  list<StudentCareData>  $care  who needs what, by name; never why
     */
    public function __construct(
        public TermSummary $term,
        public MeetingRow $meeting,
        public string $formId,
        public string $courseId,
        public array $taught,
        public ReadinessData $readiness,
        public array $season,
        public array $closures,
        public array $courses,
        public ?GroupPrinciplesData $principles,
        public TonightWarmUps $warmUps,
        public array $care,
    ) {
    }
}
