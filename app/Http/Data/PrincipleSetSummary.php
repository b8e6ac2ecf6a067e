<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A set of principles in the list of sets. */
#[OA\Schema]
final readonly class PrincipleSetSummary
{
    /**
     * @param  list<string>  $families
     * @param  list<string>  $groups  names of those that work with it
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $about,
        #[OA\Property]
        public int $principles,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $families,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $groups,
    ) {
    }
}
