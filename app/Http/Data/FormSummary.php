<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A form in the list of forms. */
#[OA\Schema]
final readonly class FormSummary
{
    /**
     * @param  list<string>  $groups
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $entries,
        #[OA\Property]
        public int $lessons,
        #[OA\Property]
        public float $load,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $groups,
    ) {
    }
}
