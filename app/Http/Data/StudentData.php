<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One student's standing in the group's form. */
#[OA\Schema]
final readonly class StudentData
{
    /**
     * @param  list<CellData>  $cells
     * @param  list<int>  $holes
     * @param  list<int>  $behind
     * @param  list<int>  $missed
     * @param  list<int>  $notReady
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CellData::class))]
        public array $cells,
        #[OA\Property]
        public ?int $frontier,
        #[OA\Property]
        public int $holding,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $holes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $behind,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $missed,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $notReady,
    ) {
    }
}
