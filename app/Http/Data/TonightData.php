<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A meeting of today with its plan. */
#[OA\Schema]
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
        #[OA\Property]
        public ReadinessData $readiness,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TickData::class))]
        public array $season,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClosureData::class))]
        public array $closures,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CourseFormData::class))]
        public array $courses,
        #[OA\Property]
        public ?GroupPrinciplesData $principles,
        #[OA\Property]
        public TonightWarmUps $warmUps,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentCareData::class))]
        public array $care,
    ) {
    }
}
