<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Where a student stands in a form. */
#[OA\Schema]
final readonly class StudentFormData
{
    /**
     * @param  list<FadingData>  $fading  what holds now and will not much longer, the soonest first
     * @param  list<CatchUpData>  $catchUp  the most needed first
     * @param  int  $catchUpMinutes  of all of it
     * @param  list<int>  $taught  positions given to the group
     */
    public function __construct(
        #[OA\Property]
        public string $group,
        #[OA\Property]
        public FormRefData $form,
        #[OA\Property]
        public StudentData $standing,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $taught,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FadingData::class))]
        public array $fading,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CatchUpData::class))]
        public array $catchUp,
        #[OA\Property]
        public int $catchUpMinutes,
    ) {
    }
}
