<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Who is signed in. */
#[OA\Schema]
final readonly class PersonData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public string $role,
    ) {
    }
}
