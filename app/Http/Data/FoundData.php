<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What has a name: a few of each kind. */
#[OA\Schema]
final readonly class FoundData
{
    /**
     * @param  list<FoundStudent>  $students
     * @param  list<FoundMovement>  $movements
     * @param  list<FoundNamed>  $forms
     * @param  list<FoundNamed>  $groups
     * @param  list<FoundMeeting>  $meetings
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: FoundStudent::class))]
        public array $students,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FoundMovement::class))]
        public array $movements,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FoundNamed::class))]
        public array $forms,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FoundNamed::class))]
        public array $groups,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FoundMeeting::class))]
        public array $meetings,
    ) {
    }
}
