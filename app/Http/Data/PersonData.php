<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Who is signed in. */
#[OA\Schema]
final readonly class PersonData
{
    /** @param  list<string>  $may  what they may do, by the names of the abilities */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public string $role,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $may,
    ) {
    }
}
