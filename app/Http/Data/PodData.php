<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Students of tonight who stand near each other. */
#[OA\Schema]
final readonly class PodData
{
    /**
     * @param  list<PodStudentData>  $students  by where they stand
     * @param  int  $from  the least frontier among them, 0 where somebody is secure in nothing yet
     * @param  int  $to  the greatest
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: PodStudentData::class))]
        public array $students,
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
    ) {
    }
}
